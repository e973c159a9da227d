<?php

declare(strict_types=1);

namespace App\Controller;

use App\Form\FaultMapper;
use App\Form\ThingType;
use App\Service\ChangedMeanwhile;
use App\Service\CurrentKitchen;
use App\Service\KitchenLarder;
use App\View\LarderNames;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Larder\Found;
use FeastLadle\Larder\Ingredient;
use FeastLadle\Larder\Larder;
use FeastLadle\Telling\LineReader;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\String\Slugger\SluggerInterface;

final class LarderController extends AbstractController
{
    private const NEW_THING = [
        'density' => 0.6,
        'potMl' => 0.7,
        'diet' => 'plant',
        'pack' => ['name' => 'loose', 'grams' => 100, 'loose' => true],
    ];

    #[Route('/larder', name: 'larder', methods: ['GET'])]
    public function larder(Request $request, Larder $larder, LineReader $lines, CurrentKitchen $kitchen): Response
    {
        $asked = mb_substr(trim($request->query->getString('q')), 0, 80);
        $line = $lines->read($asked);
        // "2 cups jaggery" asks what that weighs; "jaggery" what it is.
        $weighed = null !== $line->quantity && null !== $line->ingredient ? $line : null;
        $found = match (true) {
            '' === $asked => array_map(
                static fn (Ingredient $i): Found => new Found($i, $i->name),
                array_values(array_filter($larder->all(), static fn (Ingredient $i): bool => $i->own)),
            ),
            null !== $weighed => [new Found($line->ingredient, $line->named)],
            default => $larder->search($asked),
        };

        return $this->render('larder/larder.html.twig', [
            'asked' => $asked,
            'found' => $found,
            'weighed' => $weighed,
            'cup' => $kitchen->equipment()->measures->cupMl,
            'larder' => $larder,
            'names' => LarderNames::byLetter($larder),
        ]);
    }

    #[Route('/larder/new', name: 'larder_new', methods: ['GET', 'POST'], priority: 1)]
    public function add(
        Request $request,
        KitchenLarder $larder,
        CurrentKitchen $kitchen,
        FaultMapper $faults,
        SluggerInterface $slugger,
    ): Response {
        return $this->edit(null, self::NEW_THING, $request, $larder, $kitchen, $faults, $slugger);
    }

    #[Route('/larder/{id}', name: 'larder_thing', requirements: ['id' => '[a-z0-9][a-z0-9_.-]{0,79}'], methods: ['GET', 'POST'])]
    public function thing(
        string $id,
        Request $request,
        KitchenLarder $larder,
        CurrentKitchen $kitchen,
        FaultMapper $faults,
        SluggerInterface $slugger,
    ): Response {
        return $this->edit(
            $id,
            $larder->thing($id) ?? throw $this->createNotFoundException('The larder holds no such thing.'),
            $request,
            $larder,
            $kitchen,
            $faults,
            $slugger,
        );
    }

    #[Route('/larder/{id}/forget', name: 'larder_forget', requirements: ['id' => '[a-z0-9][a-z0-9_.-]{0,79}'], methods: ['POST'])]
    public function forget(string $id, Request $request, KitchenLarder $larder, FaultMapper $faults): Response
    {
        if (!$this->isCsrfTokenValid('larder', $request->request->getString('_token'))) {
            throw $this->createAccessDeniedException('The form is too old. Load the page again.');
        }
        try {
            $larder->forget($id);
            $this->addFlash('good', $larder->ships($id) ? 'It is again as it ships.' : 'Taken out of the larder.');
        } catch (FaultyDocument $faulty) {
            $this->addFlash('bad', implode(' ', array_map($faults->say(...), $faulty->faults)));
        }

        return $this->redirectToRoute('larder', status: Response::HTTP_SEE_OTHER);
    }

    /** @param array<string, mixed> $thing */
    private function edit(
        ?string $id,
        array $thing,
        Request $request,
        KitchenLarder $larder,
        CurrentKitchen $kitchen,
        FaultMapper $faults,
        SluggerInterface $slugger,
    ): Response {
        $pack = \is_array($thing['pack'] ?? null) ? $thing['pack'] : [];
        $form = $this->createForm(ThingType::class, [...$thing, 'packName' => $pack['name'] ?? '', 'packGrams' => $pack['grams'] ?? null]);
        $form->handleRequest($request);
        if ($form->isSubmitted() && $form->isValid()) {
            /** @var array<string, mixed> $typed */
            $typed = $form->getData();
            $cup = $typed['cupGrams'] ?? null;
            if (\is_int($cup) || \is_float($cup)) {
                $typed['density'] = round($cup / $kitchen->equipment()->measures->cupMl, 4);
            } elseif (null !== $cup) {
                $typed['density'] = $cup;
            }
            $typed['pack'] = [
                ...$pack,
                'name' => '' === $typed['packName'] ? 'loose' : $typed['packName'],
                'grams' => $typed['packGrams'] ?? 100,
            ];
            unset($typed['cupGrams'], $typed['packName'], $typed['packGrams']);
            $name = \is_string($typed['name'] ?? null) ? $typed['name'] : '';
            try {
                $larder->keep(
                    $id ?? $larder->freeId(mb_substr(strtolower($slugger->slug($name)->toString()), 0, 60)),
                    array_filter($typed, static fn (mixed $v): bool => null !== $v && [] !== $v),
                    SeenVersion::in($request),
                );
                $this->addFlash('good', 'The larder knows it now.');

                return $this->redirectToRoute('larder', ['q' => $name], Response::HTTP_SEE_OTHER);
            } catch (ChangedMeanwhile $quicker) {
                $faults->refuse($form, $quicker);
            } catch (FaultyDocument $faulty) {
                $faults->map($form, $faulty, [
                    '/pack/grams' => 'packGrams',
                    '/pack/name' => 'packName',
                    '/density' => null !== $cup ? 'cupGrams' : 'density',
                ]);
            }
        }

        return $this->render('larder/thing.html.twig', [
            'id' => $id,
            'form' => $form,
            'name' => $thing['name'] ?? '',
            'own' => null !== $id && $larder->isOwn($id),
            'ships' => null !== $id && $larder->ships($id),
            'cup' => $kitchen->equipment()->measures->cupMl,
            'version' => null === $id ? 0 : $larder->version($id),
        ]);
    }
}
