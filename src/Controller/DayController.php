<?php

declare(strict_types=1);

namespace App\Controller;

use App\Export\Csv;
use App\Form\FaultMapper;
use App\Form\SaidInForm;
use App\Service\CookingDay;
use App\Service\FeastDesk;
use App\Service\LiveDay;
use App\Service\OpenFeast;
use App\Service\PlanStore;
use App\Service\Stations;
use App\View\DayScreen;
use App\View\MyStep;
use App\View\SaidLines;
use App\View\SlipChoices;
use App\View\WallBoard;
use FeastLadle\Day\DayState;
use FeastLadle\Day\EventKind;
use FeastLadle\Document\Fault;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Larder\Larder;
use FeastLadle\Solving\Plan;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;
use Symfony\Component\HttpKernel\Exception\UnprocessableEntityHttpException;
use Symfony\Component\Routing\Attribute\Route;

/** The cooking day itself: the wall's board, one person's step, what they say, and the answers to what is proposed. */
#[Route('/feasts/{id}', requirements: ['id' => '[1-9]\d{0,8}'])]
final class DayController extends StationController
{
    /** As many as a phone may have kept in a long day without a network; more come in several parts. */
    private const MOST_AT_ONCE = 500;
    private const MOST_BYTES = 300_000;

    /** Where something was said from a list, one goes on in it. */
    private const LISTS = ['board' => 'day_board', 'said' => 'day_said', 'serving' => 'day_serving', 'changes' => 'day_changes'];

    public function __construct(
        FeastDesk $desk,
        PlanStore $plans,
        Stations $stations,
        FaultMapper $faults,
        private readonly DayScreen $screens,
    ) {
        parent::__construct($desk, $plans, $stations, $faults);
    }

    #[Route('/board', name: 'day_board', methods: ['GET'])]
    public function board(int $id, LiveDay $live, Larder $larder): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);
        $state = $live->state($open, $plan);

        return $this->screen('board', $open, $plan, $state, [
            'board' => null === $state ? null : WallBoard::of($open, $state),
            'tasks' => null === $state ? [] : WallBoard::tasks($state, $larder),
        ]);
    }

    #[Route('/mine/{person}', name: 'day_mine', requirements: ['person' => '[a-z0-9-]{1,60}'], methods: ['GET'])]
    public function mine(int $id, string $person, LiveDay $live, MyStep $mine, ClockInterface $clock): Response
    {
        $open = $this->desk->open($id);
        $who = $open->kitchen->people[$person] ?? throw $this->createNotFoundException('Nobody of that name works in this kitchen.');
        $plan = $this->plans->plan($open);
        $state = $live->state($open, $plan);

        return $this->screen('mine', $open, $plan, $state, [
            'who' => $who,
            'until' => LiveDay::shiftEnd($open, $person, $clock->now()),
            'mine' => null === $state ? null : $mine->of($open, $state, $person),
        ]);
    }

    /** What phones have to say: each event is taken or refused by itself, and the answer tells which. */
    #[Route('/day/events', name: 'day_events', methods: ['POST'])]
    public function events(int $id, Request $request, CookingDay $day, LiveDay $live): JsonResponse
    {
        $open = $this->desk->open($id);
        $this->sameOrigin($request->headers->get('X-Day-Token', ''));
        $body = $request->getContent();
        if (\strlen($body) > self::MOST_BYTES) {
            throw new BadRequestHttpException(\sprintf('At most %d bytes at once; send the events in several parts.', self::MOST_BYTES));
        }
        $sent = json_decode($body, true, 32);
        $events = \is_array($sent) && \is_array($sent['events'] ?? null) && array_is_list($sent['events']) ? $sent['events'] : null;
        if (null === $events || \count($events) > self::MOST_AT_ONCE) {
            throw new BadRequestHttpException(\sprintf('Send {"events": [...]}, at most %d of them.', self::MOST_AT_ONCE));
        }
        $taken = $refused = [];
        foreach ($events as $k => $said) {
            $name = \is_array($said) && \is_string($said['id'] ?? null) ? $said['id'] : null;
            try {
                if (!\is_array($said) || array_is_list($said)) {
                    throw FaultyDocument::because('event', 'An event is an object.');
                }
                /** @var array<string, mixed> $said */
                $taken[] = $day->take($open, $said)->id;
            } catch (FaultyDocument $e) {
                $refused[] = [
                    'id' => $name,
                    'status' => Response::HTTP_UNPROCESSABLE_ENTITY,
                    'faults' => array_map(static fn (Fault $f): array => [
                        'pointer' => "/events/$k".$f->pointer,
                        'says' => $f->message(),
                    ], $e->faults),
                ];
            } catch (ConflictHttpException $e) {
                $refused[] = ['id' => $name, 'status' => Response::HTTP_CONFLICT, 'faults' => [
                    ['pointer' => "/events/$k/id", 'says' => $e->getMessage()],
                ]];
            }
        }
        if ([] !== $taken) {
            $live->settle($open, $this->plans->plan($open));
        }

        return new JsonResponse(
            ['version' => $day->version($open->record), 'taken' => $taken, 'refused' => $refused],
            [] === $taken && [] !== $refused ? $refused[0]['status'] : Response::HTTP_OK,
        );
    }

    /** The same from a form: whatever its fields say. */
    #[Route('/day/say', name: 'day_say', methods: ['POST'])]
    public function say(int $id, Request $request, CookingDay $day, LiveDay $live, ClockInterface $clock): Response
    {
        $open = $this->desk->open($id);
        $said = $request->request;
        $this->sameOrigin($said->getString('_token'));
        $kind = EventKind::tryFrom($said->getString('kind'));
        $event = SaidInForm::event($said, $clock->now()->setTimezone($open->feast->timeZone));
        try {
            $day->take($open, $event);
        } catch (FaultyDocument $e) {
            throw new UnprocessableEntityHttpException($e->getMessage(), $e);
        }
        $live->settle($open, $this->plans->plan($open));
        $by = self::by($open, $request);
        if (EventKind::Slipped === $kind) {
            $slip = ['id' => $id, 'slip' => $event['id'] ?? ''];

            return $this->redirectToRoute('day_ways', null === $by ? $slip : [...$slip, 'by' => $by], Response::HTTP_SEE_OTHER);
        }
        $list = self::LISTS[$said->getString('to')] ?? null;
        if (null !== $list) {
            return $this->redirectToRoute($list, ['id' => $id], Response::HTTP_SEE_OTHER);
        }

        return $this->back($open, $by);
    }

    /** What may have gone wrong at a step, one press each. */
    #[Route('/day/what/{step}', name: 'day_what', requirements: ['step' => '[^/]+/[^/]+/[^/]+'], methods: ['GET'])]
    public function what(int $id, string $step): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);
        foreach ($plan->steps as $planned) {
            if ($planned->key->id() === $step) {
                return $this->screen('what', $open, $plan, null, ['step' => $planned, 'slips' => SlipChoices::of($planned)]);
            }
        }
        throw $this->createNotFoundException('There is no such step in this plan.');
    }

    /** What to do now that it went wrong: the hazard, what it changes, ways on. */
    #[Route('/day/ways/{slip}', name: 'day_ways', requirements: ['slip' => '[A-Za-z0-9-]{1,60}'], methods: ['GET'])]
    public function ways(int $id, string $slip, LiveDay $live): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);
        $state = $live->state($open, $plan);
        $found = null;
        foreach ($state->slips ?? [] as $each) {
            $found = $each->event->id === $slip ? $each : $found;
        }

        return $this->screen('ways', $open, $plan, $state, ['slip' => $found]);
    }

    #[Route('/day/stop', name: 'day_stop', methods: ['GET'])]
    public function stop(int $id): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);

        return $this->screen('stop', $open, $plan, null);
    }

    #[Route('/day/said', name: 'day_said', methods: ['GET'])]
    public function said(int $id, SaidLines $lines): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);

        return $this->screen('said', $open, $plan, null, ['log' => array_reverse($lines->of($open, $plan))]);
    }

    #[Route('/day-log.{_format}', name: 'day_log', requirements: ['_format' => 'json|csv'], methods: ['GET'])]
    public function log(int $id, string $_format, SaidLines $lines): Response
    {
        $open = $this->desk->open($id);
        [$type, $text] = 'json' === $_format
            ? ['application/json', $lines->json($open)]
            : ['text/csv', Csv::of($lines->rows($open, $this->plans->plan($open)))];

        return new Response($text, Response::HTTP_OK, [
            'Content-Type' => $type.'; charset=utf-8',
            'Content-Disposition' => HeaderUtils::makeDisposition(HeaderUtils::DISPOSITION_ATTACHMENT, 'day-log-'.$id.'.'.$_format),
        ]);
    }

    #[Route('/day/answer', name: 'day_answer', methods: ['POST'])]
    public function answer(int $id, Request $request, LiveDay $live): Response
    {
        $open = $this->desk->open($id);
        $this->sameOrigin($request->request->getString('_token'));
        $isTaken = match ($request->request->getString('answer')) {
            'so-be-it' => true,
            'leave' => false,
            default => throw new UnprocessableEntityHttpException('An answer is "so-be-it" or "leave".'),
        };
        $by = self::by($open, $request);
        if (!$live->answer($open, $this->plans->plan($open), $request->request->getString('proposal'), $isTaken, $by)) {
            $this->addFlash('bad', 'The kitchen has gone on meanwhile: look at what is proposed now.');
        }

        return $this->back($open, $by);
    }

    /** Many ticks at once, of what was done while nobody had a hand free. */
    #[Route('/day/catch-up', name: 'day_catch_up', methods: ['GET', 'POST'])]
    public function catchUp(int $id, Request $request, LiveDay $live, CookingDay $day): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);
        $state = $live->state($open, $plan);
        $overdue = null === $state ? [] : LiveDay::shouldBeOver($plan, $day->done($open->record), $state->at);
        if ($request->isMethod('POST')) {
            $this->sameOrigin($request->request->getString('_token'));
            $ticked = array_filter($request->request->all('done'), \is_string(...));
            foreach ($overdue as $step) {
                if (\in_array($step->key->id(), $ticked, true)) {
                    $day->take($open, [
                        'id' => 'l-'.hash('xxh128', $step->key->id().$request->request->getString('client')),
                        'at' => $step->end->format(\DATE_ATOM),
                        'kind' => EventKind::Done->value,
                        'step' => $step->key->id(),
                        'about' => true,
                    ]);
                }
            }
            $live->settle($open, $plan);

            return $this->back($open, null);
        }

        return $this->screen('catch_up', $open, $plan, $state, ['overdue' => $overdue]);
    }

    /** @param array<string, mixed> $values */
    private function screen(string $name, OpenFeast $open, Plan $plan, ?DayState $state, array $values = []): Response
    {
        return $this->render("day/$name.html.twig", [...$this->screens->of($open, $plan, $state), ...$values]);
    }

    /** Back to the step of who said it, or to the wall. */
    private function back(OpenFeast $open, ?string $by): Response
    {
        return $this->redirectToRoute(
            null === $by ? 'day_board' : 'day_mine',
            ['id' => $open->id()] + (null === $by ? [] : ['person' => $by]),
            Response::HTTP_SEE_OTHER,
        );
    }

    private static function by(OpenFeast $open, Request $request): ?string
    {
        $by = $request->request->getString('by');

        return isset($open->kitchen->people[$by]) ? $by : null;
    }

    private function sameOrigin(string $token): void
    {
        if (!$this->isCsrfTokenValid('day', $token)) {
            throw $this->createAccessDeniedException('The form is too old. Load the page again.');
        }
    }
}
