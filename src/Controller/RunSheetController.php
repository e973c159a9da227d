<?php

declare(strict_types=1);

namespace App\Controller;

use App\Form\HandsType;
use App\Service\ChangedMeanwhile;
use App\Service\LiveDay;
use App\Service\OpenFeast;
use App\View\RunSheetChart;
use App\View\RunSheetSide;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Explaining\ClockChange;
use FeastLadle\Explaining\CutTimes;
use FeastLadle\Explaining\Rhythm;
use FeastLadle\Explaining\StepPlaces;
use FeastLadle\Feast\FeastDocument;
use FeastLadle\Larder\Larder;
use FeastLadle\Schedule\ProblemWriter;
use FeastLadle\Solving\Pins;
use FeastLadle\Solving\Plan;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\UnprocessableEntityHttpException;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Contracts\Service\Attribute\Required;

final class RunSheetController extends StationController
{
    private Larder $larder;

    #[Required]
    public function useLarder(Larder $larder): void
    {
        $this->larder = $larder;
    }

    #[Route('/feasts/{id}/run-sheet', name: 'run_sheet', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET', 'POST'])]
    public function runSheet(int $id, Request $request, RunSheetChart $chart, LiveDay $live): Response
    {
        $open = $this->desk->open($id);
        $people = [];
        foreach ($open->kitchen->people as $person) {
            $people[$person->name] = $person->id;
        }
        $things = $this->things($open);
        $form = $this->createForm(HandsType::class, $open->document, ['people' => $people, 'things' => $things]);
        $form->handleRequest($request);
        if ($form->isSubmitted() && $form->isValid()) {
            /** @var array<string, mixed> $document */
            $document = $form->getData();
            $remove = $request->request->get('remove');
            $fresh = $request->request->has('add')
                ? ['person' => (string) array_key_first($open->kitchen->people), 'day' => 0, 'from' => '15:00', 'to' => '19:00']
                : null;
            $document['hands'] = $this->rows($document['hands'] ?? null, is_numeric($remove) ? (int) $remove : null, $fresh);
            $lent = $request->request->get('remove-other');
            $other = $request->request->has('add-other')
                ? [
                    'name' => 'Rice for the hall',
                    'on' => (string) array_key_first($open->kitchen->burners),
                    'day' => 0,
                    'from' => '12:00',
                    'to' => '13:00',
                ]
                : null;
            $document['otherWork'] = $this->rows($document['otherWork'] ?? null, is_numeric($lent) ? (int) $lent : null, $other);
            if ($this->take($form, $open, $document, $request)) {
                return $this->redirectToRoute('run_sheet', ['id' => $id], Response::HTTP_SEE_OTHER);
            }
            $open = $this->desk->open($id);
        }
        $plan = $this->plans->plan($open);
        $side = RunSheetSide::tryFrom($request->query->getString('by')) ?? RunSheetSide::All;
        $places = static fn (): array => StepPlaces::of($plan, $open->kitchen);
        $moments = $this->plans->moments($open, $plan);
        // On the day the sheet is the plan from here, done steps where they really were.
        $state = $live->state($open, $plan);
        $today = null === $state ? null : $this->renderView('_partials/run_chart.html.twig', [
            'chart' => $chart->draw($state->plan, $open, $side, $places(), $state->at),
        ]);

        return $this->station('run_sheet', $open, $plan, [
            'form' => $form,
            'chart' => $today ?? $this->keptPart(
                $open,
                $plan,
                '_partials/run_chart.html.twig',
                static fn (Plan $p): array => ['chart' => $chart->draw($p, $open, $side, $places())],
                $side->value,
            ),
            'list' => $this->keptPart($open, $plan, '_partials/run_list.html.twig', fn (Plan $p): array => [
                'open' => $open,
                'feast' => $open->feast,
                'plan' => $p,
                'places' => $places(),
                'cuts' => (new CutTimes($this->larder))->ofPlan($p, $open->kitchen),
                'date' => $open->feast->firstMoment()->at->setTimezone($open->feast->timeZone)->format('Y-m-d'),
            ]),
            'isToday' => null !== $state,
            'of100' => $moments->of100(),
            'short' => $plan->isOnTime() && $moments->shortfall() > 0,
            'side' => $side,
            'sides' => RunSheetSide::cases(),
            'rhythms' => Rhythm::of($plan),
            'clocks' => ClockChange::during($plan, $open->feast->timeZone),
        ]);
    }

    /** Holds a step at a time, or lets it go; the rest is planned around it. */
    #[Route('/feasts/{id}/pins', name: 'pins', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['POST'])]
    public function pin(int $id, Request $request): Response
    {
        $open = $this->desk->open($id);
        if (!$this->isCsrfTokenValid('pins', $request->request->getString('_token'))) {
            throw $this->createAccessDeniedException('The form is too old. Load the page again.');
        }
        $step = $request->request->getString('step');
        $document = FeastDocument::of($open->document);
        if ($request->request->has('shift')) {
            $pin =
                Pins::moved($this->plans->plan($open), $open->feast, $step, $request->request->getInt('shift')) ??
                throw new UnprocessableEntityHttpException('There is no such step in this plan.');
            $document = $document->withPin($step, $pin['day'], $pin['time']);
        } elseif ($request->request->has('let-go')) {
            $document = $document->withoutPin($step);
        } else {
            $document = $document->withPin($step, $request->request->getInt('day'), trim($request->request->getString('time')));
        }
        try {
            $this->desk->change($open, $document->fields, SeenVersion::in($request));
            // What stands stays near where it was; what is let go finds its best place again.
            $this->plans->plan($this->desk->open($id), !$request->request->has('let-go'));
        } catch (FaultyDocument|ChangedMeanwhile $refusal) {
            $this->addFlash(
                'bad',
                $this->faults->says($refusal),
            );
        }

        return $this->redirectToRoute(
            'run_sheet',
            [
                'id' => $id,
                '_fragment' => $request->request->has('shift') ? 'chart' : 'list',
                ...array_filter(['by' => $request->request->getString('by')]),
            ],
            Response::HTTP_SEE_OTHER,
        );
    }

    /** @return array<string, string> fires, vessels and people by name: what may be wanted for other work */
    private function things(OpenFeast $open): array
    {
        $things = [];
        foreach (
            [
                ...array_values($open->kitchen->burners),
                ...array_values($open->kitchen->people),
                ...array_values($open->kitchen->vessels),
            ] as $thing
        ) {
            $things[isset($things[$thing->name]) ? $thing->name.' ('.$thing->id.')' : $thing->name] = $thing->id;
        }

        return $things;
    }

    /** The plan's schedule problem in the open format, to feed to ladle:schedule or anything else that reads it. */
    #[Route('/feasts/{id}/schedule-problem.json', name: 'schedule_problem', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET'])]
    public function problem(int $id): JsonResponse
    {
        return new JsonResponse((new ProblemWriter())->problem($this->plans->plan($this->desk->open($id))->problem));
    }
}
