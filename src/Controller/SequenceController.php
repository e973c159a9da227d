<?php

declare(strict_types=1);

namespace App\Controller;

use App\Export\PdfPrinter;
use App\Export\PlanCalendar;
use App\Export\PlanCsv;
use App\Export\PlanJson;
use App\Service\ChangedMeanwhile;
use App\Service\WhatIf;
use App\Service\WishedRoom;
use App\View\LoadDrawing;
use App\View\StepPage;
use App\View\StoveFrames;
use FeastLadle\Document\Fault;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Explaining\ClockChange;
use FeastLadle\Explaining\RoomBefore;
use FeastLadle\Feast\FeastDocument;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Solving\PlannedStep;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Contracts\Translation\TranslatorInterface;

/** Other sights of the plan: the stove at any minute, load, risk; on paper, as a calendar, as a table. */
final class SequenceController extends StationController
{
    private const ID = ['id' => '[1-9]\d{0,8}'];

    #[Route('/feasts/{id}/stove', name: 'stove', requirements: self::ID, methods: ['GET'])]
    public function stove(int $id, StoveFrames $frames, LoadDrawing $load): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);

        return $this->station('stove', $open, $plan, [
            'stove' => [] === $plan->steps ? null : $frames->of($plan, $open),
            'load' => $load->draw($plan, $open->feast, $open->kitchen),
        ]);
    }

    /** One step of the plan: how its minutes come about, why it stands where it stands, what goes in. */
    #[Route('/feasts/{id}/step/{step}', name: 'step', requirements: ['step' => '[^/]+/-?\d+/[^/]+'] + self::ID, methods: ['GET'])]
    public function step(int $id, string $step, StepPage $page): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);
        $found =
            $page->of($step, $plan, $open) ??
            throw $this->createNotFoundException('The plan has no such step any more. Look at the run sheet.');

        return $this->station('step', $open, $plan, ['here' => 'run_sheet', 'page' => $found]);
    }

    #[Route('/feasts/{id}/risk', name: 'risk', requirements: self::ID, methods: ['GET', 'POST'])]
    public function risk(int $id, Request $request, WishedRoom $sure): Response
    {
        $open = $this->desk->open($id);
        $faults = [];
        if ($request->isMethod('POST')) {
            if (!$this->isCsrfTokenValid('risk', $request->request->getString('_token'))) {
                throw $this->createAccessDeniedException('The form is too old. Load the page again.');
            }
            $typed = trim($request->request->getString('margin'));
            try {
                $document = $request->request->has('sure')
                    ? $sure->document($open)
                    : FeastDocument::of($open->document)->withMargin(
                        ctype_digit($typed) && \strlen($typed) < 6 ? (int) $typed : ('' === $typed ? 0 : $typed),
                    )->fields;
                $this->desk->change($open, $document, SeenVersion::in($request));

                return $this->redirectToRoute('risk', ['id' => $id], Response::HTTP_SEE_OTHER);
            } catch (FaultyDocument|ChangedMeanwhile $refusal) {
                $faults = array_map(
                    $this->faults->say(...),
                    $refusal instanceof FaultyDocument ? $refusal->faults : [new Fault('', $refusal->getMessage())],
                );
                $open = $this->desk->open($id);
            }
        }
        $plan = $this->plans->plan($open);
        $steps = [];
        foreach ($plan->steps as $step) {
            $steps[$step->activity] = $step;
        }
        $risk =
            SolutionStatus::Feasible === $plan->solution->status && [] !== $plan->steps ? $this->plans->chances($open, $plan) : null;

        return $this->station(
            'risk',
            $open,
            $plan,
            [
                'faults' => $faults,
                'risk' => $risk,
                'held' => RoomBefore::heldBack($open->feast, $plan),
                'short' => null !== $risk && !$plan->isToTheMinute && [] !== RoomBefore::wanted($plan, $risk),
                'steps' => $steps,
                'blamed' => \array_slice(
                    array_filter(
                        $risk->blame ?? [],
                        static fn (string $id): bool => isset($steps[$id])
                            && [] !== $steps[$id]->dish->dish->recipe->step($steps[$id]->key->step)->sources(),
                        \ARRAY_FILTER_USE_KEY,
                    ),
                    0,
                    8,
                ),
            ],
            new Response(status: [] === $faults ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY),
        );
    }

    #[Route('/feasts/{id}/run-sheet.pdf', name: 'run_sheet_pdf', requirements: self::ID, methods: ['GET'])]
    public function wall(int $id, Request $request, PdfPrinter $printer): Response
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

        return $printer->print(
            $request->query->has('strips') ? 'paper/strips.html.twig' : 'paper/wall.html.twig',
            [
                'feast' => $open->feast,
                'kitchen' => $open->kitchen,
                'plan' => $plan,
                'strips' => $strips,
                'clocks' => ClockChange::during($plan, $open->feast->timeZone),
            ],
            $request,
            $open->feast->name.' run sheet',
        );
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

    #[Route('/feasts/{id}/what-if', name: 'what_if', requirements: self::ID, methods: ['GET', 'POST'])]
    public function whatIf(int $id, Request $request, WhatIf $whatIf): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);
        $scenarios = $whatIf->scenarios($open, $plan);
        $asked =
            $scenarios[$request->isMethod('POST') ? $request->request->getString('keep') : $request->query->getString('try')] ?? null;
        if ($request->isMethod('POST')) {
            if (!$this->isCsrfTokenValid('what-if', $request->request->getString('_token'))) {
                throw $this->createAccessDeniedException('The form is too old. Load the page again.');
            }
            if (null === $asked?->document) {
                throw $this->createNotFoundException('There is no such thing to keep.');
            }
            try {
                $this->desk->change($open, $asked->document->fields, SeenVersion::in($request));
                $this->addFlash('good', 'Kept: the plan is the one you tried.');
            } catch (FaultyDocument|ChangedMeanwhile $refusal) {
                $this->addFlash(
                    'bad',
                    $refusal instanceof FaultyDocument
                        ? $this->faults->say($refusal->faults[0])
                        : $this->faults->say(new Fault('', $refusal->getMessage())),
                );
            }

            return $this->redirectToRoute('what_if', ['id' => $id], Response::HTTP_SEE_OTHER);
        }

        return $this->station('what_if', $open, $plan, [
            'scenarios' => $scenarios,
            'asked' => $asked,
            'tried' => null === $asked ? null : $whatIf->try($open, $asked),
        ]);
    }

    /** What one thing brings, for a page that tries them all one after the other. */
    #[Route('/feasts/{id}/what-if/verdict', name: 'verdict', requirements: self::ID, methods: ['POST'])]
    public function verdict(int $id, Request $request, WhatIf $whatIf, TranslatorInterface $translator): JsonResponse
    {
        if (!$this->isCsrfTokenValid('what-if', $request->request->getString('_token'))) {
            throw $this->createAccessDeniedException('The form is too old. Load the page again.');
        }
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);
        $asked =
            $whatIf->scenarios($open, $plan)[$request->request->getString('try')] ??
            throw $this->createNotFoundException('There is no such thing to try.');
        $verdict = $whatIf->verdict($open, $plan, $asked);

        return new JsonResponse([
            'id' => $verdict->id,
            'won' => $verdict->won,
            'out' => $verdict->out,
            'mends' => $verdict->mends,
            'says' => $translator->trans($verdict->message, [
                '{minutes}' => AmountWriter::duration(abs($verdict->won ?? 0)),
                '{hands}' => AmountWriter::duration(abs($verdict->hands)),
            ]),
        ]);
    }

    /** Looks for a better plan for a moment, beginning with the one there is; what it finds is kept. */
    #[Route('/feasts/{id}/search', name: 'search', requirements: self::ID, methods: ['POST'])]
    public function search(int $id, Request $request): JsonResponse
    {
        $open = $this->desk->open($id);
        if (!$this->isCsrfTokenValid('search', $request->request->getString('_token'))) {
            throw $this->createAccessDeniedException('The form is too old. Load the page again.');
        }
        $plan = $this->plans->improve($open, max(1, min(100, $request->request->getInt('round', 1))));

        return new JsonResponse([
            'objective' => $plan->solution->objective,
            'bound' => $plan->solution->bound,
            'inTime' => $plan->isOnTime(),
        ]);
    }
}
