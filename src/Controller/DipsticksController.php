<?php

declare(strict_types=1);

namespace App\Controller;

use App\Export\PdfPrinter;
use App\View\StickSheet;
use FeastLadle\Amounts\LeftInPots;
use FeastLadle\Amounts\Quantities;
use FeastLadle\Amounts\ServingFit;
use FeastLadle\Batch\Pours;
use FeastLadle\Cards\PotStick;
use FeastLadle\Cards\PotSticks;
use FeastLadle\Explaining\StopSigns;
use FeastLadle\Larder\Larder;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Contracts\Service\Attribute\Required;

/** Levels to mark on a stick, pours between vessels, and what the dishes are served from. */
final class DipsticksController extends StationController
{
    private Larder $larder;

    #[Required]
    public function useLarder(Larder $larder): void
    {
        $this->larder = $larder;
    }

    #[Route('/feasts/{id}/dipsticks', name: 'dipsticks', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET'])]
    public function dipsticks(int $id, Request $request): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->shown($open, $this->inPlace($request));
        $pours = [];
        $serving = [];
        foreach ($plan->quantities->dishes as $planned) {
            $pours[$planned->dish->id] = Pours::of($planned->batchPlan, $this->larder, $open->kitchen->rules->liftKg);
        }
        $free = array_values($open->kitchen->vessels);
        foreach ($plan->quantities->dishes as $planned) {
            if (!$planned->dish->isBase && $planned->canBeCooked()) {
                $fit = ServingFit::of($planned, $free, $this->larder);
                $free = array_values(array_filter($free, static fn ($v): bool => !\in_array($v, $fit['used'], true)));
                $serving[$planned->dish->id] = $fit;
            }
        }

        return $this->station('dipsticks', $open, $plan, [
            'sticks' => $this->sticks($plan->quantities),
            'pours' => $pours,
            'serving' => $serving,
            'signs' => (new StopSigns($this->larder))->of($plan, $open->feast, $open->kitchen),
            'left' => LeftInPots::of($plan->quantities, $this->larder),
        ]);
    }

    #[Route('/feasts/{id}/dipsticks.pdf', name: 'dipsticks_pdf', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET'])]
    public function pdf(int $id, Request $request, PdfPrinter $printer, StickSheet $sheet): Response
    {
        $open = $this->desk->open($id);

        return $printer->print(
            'paper/dipsticks.html.twig',
            [
                'feast' => $open->feast,
                'sheets' => array_map(
                    static fn (PotStick $s): array => $sheet->of($s, PdfPrinter::paper($request)),
                    $this->sticks($this->plans->plan($open)->quantities),
                ),
            ],
            $request,
            $open->feast->name.' dipsticks',
        );
    }

    /** @return list<PotStick> */
    private function sticks(Quantities $quantities): array
    {
        return array_merge(...array_map((new PotSticks($this->larder))->of(...), array_values($quantities->dishes)));
    }
}
