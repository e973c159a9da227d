<?php

declare(strict_types=1);

namespace App\Controller;

use App\Export\PdfPrinter;
use App\Service\BenchValues;
use App\Service\CurrentKitchen;
use App\Service\RecipeBook;
use App\View\SectionDrawing;
use App\View\StickSheet;
use App\View\TrayBench;
use FeastLadle\Amounts\Backwards;
use FeastLadle\Cards\PotStick;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Larder\Larder;
use FeastLadle\Tray\Cut;
use FeastLadle\Vessel\Dipstick;
use FeastLadle\Vessel\FillLimit;
use FeastLadle\Vessel\Metal;
use FeastLadle\Vessel\Vessel;
use FeastLadle\Vessel\VesselKind;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The benches: one question each, without a feast. What is asked stands in the address. */
final class BenchController extends AbstractController
{
    private const POT = [
        'rimMm' => [20, 3000, 360],
        'baseMm' => [20, 3000, 300],
        'lengthMm' => [20, 3000, 400],
        'heightMm' => [5, 3000, 200],
        'brimful' => [0.05, 5000, null],
        'litres' => [0, 5000, 5],
        'celsius' => [0, 110, 20],
        'skin' => [0, 500, 0],
    ];

    public function __construct(private readonly CurrentKitchen $kitchen)
    {
    }

    #[Route('/benches', name: 'benches', methods: ['GET'])]
    public function benches(): Response
    {
        return $this->redirectToRoute('bench_tray');
    }

    #[Route('/benches/tray', name: 'bench_tray', methods: ['GET'])]
    public function tray(Request $request, TrayBench $bench): Response
    {
        [$values, $cut, $onRack] = $this->trayAsked($request);

        return $this->render(
            'benches/tray.html.twig',
            [
                'asked' => $values,
                'cut' => $cut,
                'onRack' => $onRack,
                'bench' => $bench->of($values->numbers, $cut, $onRack, $this->kitchen->equipment()),
                'kitchen' => $this->kitchen->equipment(),
            ],
            $this->status($values),
        );
    }

    #[Route('/benches/tray.pdf', name: 'bench_tray_pdf', methods: ['GET'])]
    public function trayOnPaper(Request $request, TrayBench $bench, PdfPrinter $printer): Response
    {
        [$values, $cut, $onRack] = $this->trayAsked($request);

        return $printer->print(
            'paper/tray.html.twig',
            ['asked' => $values, 'cut' => $cut, 'bench' => $bench->of($values->numbers, $cut, $onRack, $this->kitchen->equipment())],
            $request,
            'tray',
        );
    }

    #[Route('/benches/pot', name: 'bench_pot', methods: ['GET'])]
    public function pot(Request $request): Response
    {
        $values = BenchValues::read($request, self::POT);
        [$vessel, $form, $fault] = $this->vessel($request, $values->numbers);
        $limit = FillLimit::tryFrom($request->query->getString('what')) ?? FillLimit::MilkOrStarchBoil;
        $shape = $vessel->shape;
        $depth = Dipstick::depthMm(
            $shape,
            1000 * $values->numbers['litres'],
            $values->numbers['celsius'],
            1000 * $values->numbers['skin'],
        );
        $limitDepth = $shape->depthMm($this->kitchen->equipment()->rules->fillLimits->share($limit) * $shape->brimfulMl());

        return $this->render(
            'benches/pot.html.twig',
            [
                'asked' => $values,
                'form' => $form,
                'fault' => $fault,
                'vessel' => $vessel,
                'limit' => $limit,
                'limitShare' => $this->kitchen->equipment()->rules->fillLimits->share($limit),
                'limits' => FillLimit::cases(),
                'depth' => $depth,
                'limitDepth' => $limitDepth,
                'over' => $depth > $limitDepth + 1e-6,
                'marks' => Dipstick::marks($shape, $values->numbers['celsius']),
                'vessels' => $this->kitchen->equipment()->vessels,
                'drawn' => [
                    'width' => SectionDrawing::widest($shape),
                    'height' => SectionDrawing::SCALE * $shape->heightMm(),
                    'outline' => SectionDrawing::profile($shape, $shape->heightMm()),
                    'contents' => SectionDrawing::profile($shape, max(0.5, $depth)),
                    'limitY' => SectionDrawing::y($shape, $limitDepth),
                    'limitHalf' => SectionDrawing::SCALE * $shape->radiusMm($limitDepth),
                ],
            ],
            $this->status($values),
        );
    }

    #[Route('/benches/pot.pdf', name: 'bench_pot_pdf', methods: ['GET'])]
    public function stick(Request $request, PdfPrinter $printer, StickSheet $sheet): Response
    {
        $values = BenchValues::read($request, self::POT);
        [$vessel] = $this->vessel($request, $values->numbers);
        $limit = FillLimit::tryFrom($request->query->getString('what')) ?? FillLimit::MilkOrStarchBoil;
        $levels = [
            [
                'label' => '',
                'depthMm' => $vessel->shape->depthMm(
                    $this->kitchen->equipment()->rules->fillLimits->share($limit) * $vessel->shape->brimfulMl(),
                ),
                'what' => 'limit',
                'celsius' => 20.0,
                'ml' => $this->kitchen->equipment()->rules->fillLimits->share($limit) * $vessel->shape->brimfulMl(),
            ],
        ];

        return $printer->print(
            'paper/dipsticks.html.twig',
            [
                'sheets' => [
                    $sheet->of(
                        new PotStick(
                            $vessel,
                            round($values->numbers['celsius']).' °C',
                            Dipstick::marks($vessel->shape, $values->numbers['celsius']),
                            $levels,
                        ),
                        PdfPrinter::paper($request),
                    ),
                ],
            ],
            $request,
            $vessel->name.' dipstick',
        );
    }

    #[Route('/benches/most', name: 'bench_most', methods: ['GET'])]
    public function most(Request $request, RecipeBook $recipes, Larder $larder): Response
    {
        $values = BenchValues::read($request, ['grams' => [0.1, 1e8, 1000], 'uptake' => [0.05, 1, 1]]);
        $book = $recipes->all();
        $slug = $request->query->getString('recipe', [] === $book ? '' : $book[0]->getSlug());
        $recipe = $recipes->find($slug, null) ?? throw $this->createNotFoundException('There is no such recipe.');
        $kitchen = $this->kitchen->equipment();
        $backwards = new Backwards($larder, $kitchen);
        $things = array_map(static fn (string $id): string => $larder->get($id)->name, $backwards->things($recipe));
        $thing = $request->query->getString('thing');
        $thing = isset($things[$thing]) ? $thing : (string) array_key_first($things);
        $vessel = $kitchen->vessels[$request->query->getString('vessel')] ?? null;
        $byThing = '' === $thing ? null : $backwards->factorOf($recipe, $thing, $values->numbers['grams']);
        $byPot = null === $vessel ? null : $backwards->factorIn($recipe, $vessel);
        $factor = Backwards::tighter($byThing, $byPot);
        $yield = null === $factor ? 0.0 : $backwards->yield($recipe, $factor);

        return $this->render(
            'benches/most.html.twig',
            [
                'asked' => $values,
                'book' => $book,
                'recipe' => $recipe,
                'things' => $things,
                'thing' => $thing,
                'vessels' => $kitchen->vessels,
                'vessel' => $vessel,
                'byThing' => $byThing,
                'byPot' => $byPot,
                'factor' => $factor,
                'yield' => $yield,
                'guests' => $backwards->guests($recipe, $yield, $values->numbers['uptake']),
                'packs' => null === $factor || $factor <= 0 ? [] : \array_slice($backwards->wholePacks($recipe, $factor), 0, 6),
            ],
            $this->status($values),
        );
    }

    /** @return array{BenchValues, Cut, bool} */
    private function trayAsked(Request $request): array
    {
        return [
            BenchValues::read($request, TrayBench::ASKED),
            Cut::tryFrom($request->query->getString('cut')) ?? Cut::Squares,
            'table' !== $request->query->getString('on'),
        ];
    }

    /**
     * A pot of the kitchen, or one described by its measured numbers.
     *
     * @param array<string, float> $numbers
     *
     * @return array{Vessel, string, string} with its form, and what is wrong with the description
     */
    private function vessel(Request $request, array $numbers): array
    {
        $own = $this->kitchen->equipment()->vessels[$request->query->getString('vessel')] ?? null;
        $form = $request->query->getString('form', 'straight');
        $form = \in_array($form, ['straight', 'tapered', 'bowl', 'box'], true) ? $form : 'straight';
        if (null !== $own) {
            return [$own, $form, ''];
        }
        try {
            return [
                new Vessel(
                    'asked',
                    'A pot of these numbers',
                    VesselKind::Pot,
                    KitchenReader::shapeOf(
                        $form,
                        $numbers['rimMm'],
                        $numbers['baseMm'],
                        $numbers['lengthMm'],
                        $numbers['heightMm'],
                        $numbers['brimful'] ?? null,
                    ),
                    Metal::Steel,
                    1.0,
                ),
                $form,
                '',
            ];
        } catch (\DomainException $impossible) {
            return [
                new Vessel(
                    'asked',
                    'A pot of these numbers',
                    VesselKind::Pot,
                    KitchenReader::shapeOf(
                        $form,
                        $numbers['rimMm'],
                        $numbers['baseMm'],
                        $numbers['lengthMm'],
                        $numbers['heightMm'],
                        null,
                    ),
                    Metal::Steel,
                    1.0,
                ),
                $form,
                $impossible->getMessage(),
            ];
        }
    }

    private function status(BenchValues $values): Response
    {
        return new Response(status: [] === $values->refused ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }
}
