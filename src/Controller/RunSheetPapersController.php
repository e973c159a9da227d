<?php

declare(strict_types=1);

namespace App\Controller;

use App\Export\PdfPrinter;
use App\Export\PlanCalendar;
use App\Export\PlanCsv;
use App\Export\PlanJson;
use App\Service\OpenFeast;
use FeastLadle\Cards\CardMaker;
use FeastLadle\Explaining\ClockChange;
use FeastLadle\Explaining\StopSign;
use FeastLadle\Explaining\StopSigns;
use FeastLadle\Larder\Larder;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The run sheet on paper, as a calendar, as a table and as a document. */
final class RunSheetPapersController extends StationController
{
    private const ID = ['id' => '[1-9]\d{0,8}'];

    #[Route('/feasts/{id}/run-sheet.pdf', name: 'run_sheet_pdf', requirements: self::ID, methods: ['GET'])]
    public function wall(int $id, Request $request, PdfPrinter $printer, Larder $larder): Response
    {
        $open = $this->desk->open($id);
        $person = $request->query->getString('person');
        $plan = $this->plans->plan($open);
        $people = isset($open->kitchen->people[$person]) ? [$person] : array_keys($open->kitchen->people);
        $strips = [];
        foreach ($request->query->has('strips') ? $people : [] as $each) {
            $mine = array_values(array_filter($plan->steps, static fn (PlannedStep $s): bool => \in_array($each, $s->people, true)));
            if ([] !== $mine) {
                $strips[$each] = $mine;
            }
        }

        $ready = [];
        foreach ([] === $strips ? [] : $plan->steps as $step) {
            $ready[$step->activity] = CardMaker::readyFor($step->dish, $step->step);
        }

        return $printer->print(
            $request->query->has('strips') ? 'paper/strips.html.twig' : 'paper/wall.html.twig',
            [
                'feast' => $open->feast,
                'kitchen' => $open->kitchen,
                'plan' => $plan,
                'strips' => $strips,
                'ready' => array_filter($ready),
                'stops' => [] === $strips ? [] : $this->stops($open, $plan, $larder),
                'clocks' => ClockChange::during($plan, $open->feast->timeZone),
            ],
            $request,
            $open->feast->name.' run sheet',
        );
    }

    /** @return array<string, StopSign> by the activity after which it waits */
    private function stops(OpenFeast $open, Plan $plan, Larder $larder): array
    {
        $signs = (new StopSigns($larder))->of($plan, $open->feast, $open->kitchen);

        return array_combine(array_map(static fn (StopSign $s): string => $s->at->activity, $signs), $signs);
    }

    #[Route('/feasts/{id}/run-sheet.ics', name: 'run_sheet_ics', requirements: self::ID, methods: ['GET'])]
    public function calendar(int $id, Request $request, PlanCalendar $calendar): Response
    {
        $open = $this->desk->open($id);
        $person = $request->query->getString('person');
        if ('' !== $person && !isset($open->kitchen->people[$person])) {
            throw $this->createNotFoundException('Nobody of that name works in this kitchen.');
        }

        return new Response(
            $calendar->write($open->feast, $open->kitchen, $this->plans->plan($open), '' === $person ? null : $person, $id),
            headers: [
                'Content-Type' => 'text/calendar; charset=UTF-8',
                'Content-Disposition' => 'attachment; filename="run-sheet.ics"',
            ],
        );
    }

    #[Route('/feasts/{id}/run-sheet.csv', name: 'run_sheet_csv', requirements: self::ID, methods: ['GET'])]
    public function table(int $id, PlanCsv $csv): Response
    {
        $open = $this->desk->open($id);

        return new Response(
            $csv->write($open->feast, $open->kitchen, $this->plans->plan($open)),
            headers: ['Content-Type' => 'text/csv; charset=UTF-8', 'Content-Disposition' => 'attachment; filename="run-sheet.csv"'],
        );
    }

    #[Route('/feasts/{id}/plan.json', name: 'plan_json', requirements: self::ID, methods: ['GET'])]
    public function document(int $id, PlanJson $json): Response
    {
        $open = $this->desk->open($id);

        return new Response(
            $json->write($open->feast, $open->kitchen, $this->plans->plan($open)),
            headers: ['Content-Type' => 'application/json'],
        );
    }
}
