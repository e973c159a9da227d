<?php

declare(strict_types=1);

namespace App\Service;

use FeastLadle\Day\DayLog;
use FeastLadle\Day\DayState;
use FeastLadle\Day\Event;
use FeastLadle\Day\EventKind;
use FeastLadle\Day\Fold;
use FeastLadle\Day\Happening\StepDone;
use FeastLadle\Day\Happening\StepNotDone;
use FeastLadle\Day\Happening\StepStarted;
use FeastLadle\Day\Heard;
use FeastLadle\Day\Instants;
use FeastLadle\Day\Mend;
use FeastLadle\Day\Mends;
use FeastLadle\Day\Proposal;
use FeastLadle\Day\ProposedMove;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Larder\Larder;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Solving\FailedAudit;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use Psr\Clock\ClockInterface;
use Psr\Log\LoggerInterface;
use Symfony\Component\Uid\Uuid;

/** How the day of a feast stands now, and the plans that are put in force because of it. */
final readonly class LiveDay
{
    /** From so long before its first step a feast is being cooked, and until so long after its last moment. */
    private const BEFORE = '-60 minutes';
    private const AFTER = '+3 hours';

    /** What nobody has ticked for so long, with so many steps past their time, was cooked without a screen. */
    private const QUIET_MINUTES = 30;
    private const QUIET_STEPS = 2;

    public function __construct(
        private CookingDay $day,
        private ClockInterface $clock,
        private Larder $larder,
        private LoggerInterface $logger,
    ) {
    }

    public function isOn(OpenFeast $open, Plan $plan): bool
    {
        $now = $this->clock->now();

        return SolutionStatus::Feasible === $plan->solution->status
            && [] !== $plan->steps
            && $now >= $plan->steps[0]->start->modify(self::BEFORE)
            && $now <= $open->feast->lastMoment()->at->modify(self::AFTER);
    }

    /** @return DayState|null null before and after the day, and where there is no plan */
    public function state(OpenFeast $open, Plan $plan): ?DayState
    {
        return $this->isOn($open, $plan) ? $this->told($open, $plan) : null;
    }

    /** The same of a day that is over, too; null where nothing can be told. */
    public function told(OpenFeast $open, Plan $plan): ?DayState
    {
        if (SolutionStatus::Feasible !== $plan->solution->status || [] === $plan->steps) {
            return null;
        }
        $now = $this->clock->now();
        try {
            return $this->fold($open, $plan)->state($this->log($open, $plan, $now), $now);
        } catch (FailedAudit $e) {
            // The board itself must be there for whoever cooks.
            $this->logger->error('The day of feast {feast} could not be told: {why}', ['feast' => $open->id(), 'why' => $e->getMessage()]);

            return null;
        }
    }

    /** @return list<Mend> what would still save a moment, planned from now */
    public function mends(OpenFeast $open, Plan $plan): array
    {
        $now = $this->clock->now();

        return (new Mends($open->feast, $open->kitchen, $this->fold($open, $plan)))->of($this->log($open, $plan, $now), $now);
    }

    private function fold(OpenFeast $open, Plan $plan): Fold
    {
        return new Fold($open->feast, $open->kitchen, $this->larder, $plan);
    }

    private function log(OpenFeast $open, Plan $plan, \DateTimeImmutable $now): DayLog
    {
        $log = $this->day->log($open);

        return $log->with($this->begun($log->until($now), $plan, $now));
    }

    /** Puts what may change by itself in force: nobody's next ten minutes, no moment lost. */
    public function settle(OpenFeast $open, Plan $plan): void
    {
        $proposal = $this->state($open, $plan)?->proposal;
        if (null !== $proposal && $proposal->byItself && !$proposal->waits) {
            $this->putInForce($open, $proposal, null);
        }
    }

    /**
     * The answer to a proposal.
     *
     * @return bool false when another stands by now: nothing is changed then
     */
    public function answer(OpenFeast $open, Plan $plan, string $proposalId, bool $isTaken, ?string $by): bool
    {
        $proposal = $this->state($open, $plan)?->proposal;
        if ($proposal?->id !== $proposalId) {
            return false;
        }
        $this->say($open, ['kind' => EventKind::Answered->value, 'proposal' => $proposalId, 'taken' => $isTaken], $by);
        if ($isTaken) {
            $this->putInForce($open, $proposal, $by);
        }

        return true;
    }

    /**
     * @param array<string, \DateTimeImmutable> $done by step
     *
     * @return list<PlannedStep> that by the plan are over and were not ticked
     */
    public static function shouldBeOver(Plan $plan, array $done, \DateTimeImmutable $now): array
    {
        return array_values(array_filter(
            $plan->steps,
            static fn (PlannedStep $s): bool => $s->end <= $now && !isset($done[$s->key->id()]),
        ));
    }

    /** Since when nobody has said anything, where that is long enough and much should be over: it is asked once, by a list. */
    public function silentSince(OpenFeast $open, Plan $plan, Heard $heard): ?\DateTimeImmutable
    {
        $now = $this->clock->now();
        $last = max($heard->last ?? $plan->steps[0]->start ?? $now, $plan->steps[0]->start ?? $now);
        $before = $now->modify('-'.self::QUIET_MINUTES.' minutes');

        return $last <= $before && \count(self::shouldBeOver($plan, $this->day->done($open->record), $before)) >= self::QUIET_STEPS
            ? $last->setTimezone($open->feast->timeZone)
            : null;
    }

    /** Until when a person is there today, by the shifts of the feast. */
    public static function shiftEnd(OpenFeast $open, string $person, \DateTimeImmutable $now): ?\DateTimeImmutable
    {
        foreach ($open->feast->shifts as $shift) {
            if ($shift->person === $person && $shift->from <= $now && $shift->to > $now) {
                return $shift->to;
            }
        }

        return null;
    }

    private function putInForce(OpenFeast $open, Proposal $proposal, ?string $by): void
    {
        $zone = $open->feast->timeZone;
        $this->say($open, [
            'kind' => EventKind::Replanned->value,
            'fingerprint' => $proposal->id,
            'moves' => array_map(static fn (ProposedMove $m): array => array_filter([
                'step' => $m->to->key->id(),
                'start' => Instants::text($m->to->start, $zone),
                'end' => Instants::text($m->to->end, $zone),
                'person' => $m->to->people,
                'fire' => $m->to->burner,
            ], static fn (mixed $v): bool => null !== $v && [] !== $v), $proposal->moves),
            'because' => $proposal->because->text(),
        ], $by);
    }

    /** @param array<string, mixed> $said */
    private function say(OpenFeast $open, array $said, ?string $by): void
    {
        $head = ['id' => Uuid::v7()->toRfc4122(), 'at' => $this->clock->now()->setTimezone($open->feast->timeZone)->format(\DATE_ATOM)];
        try {
            $this->day->take($open, [...$head, ...(null === $by ? [] : ['by' => $by]), ...$said]);
        } catch (FaultyDocument $e) {
            throw new \LogicException('What the program says itself can be read: '.$e->getMessage(), 0, $e);
        }
    }

    /**
     * Where only what is done is ticked, what should have begun and could is taken to run since then. Who says when a step begins is
     * believed of all.
     *
     * @param list<Event> $said
     *
     * @return list<Event>
     */
    private function begun(array $said, Plan $plan, \DateTimeImmutable $now): array
    {
        foreach ($said as $event) {
            if ($event->what instanceof StepStarted) {
                return [];
            }
        }
        $done = $ids = [];
        foreach ($said as $event) {
            $what = $event->what;
            if ($what instanceof StepDone) {
                $done[$what->step] = $event->at;
            } elseif ($what instanceof StepNotDone) {
                unset($done[$what->step]);
            }
        }
        foreach ($plan->steps as $step) {
            $ids[$step->activity] = $step->key->id();
        }
        $begun = [];
        foreach ($plan->steps as $step) {
            $from = $step->start;
            foreach ($plan->problem->links as $link) {
                if ($link->to === $step->activity && isset($ids[$link->from]) && $link->type->fromEnd() && !$link->type->toEnd()) {
                    $from = max($from, $done[$ids[$link->from]] ?? $now->modify('+1 day'));
                }
            }
            if (!isset($done[$step->key->id()]) && $from < $now) {
                $id = 'begun-'.$step->key->id();
                $begun[] = new Event($id, $from, null, null, null, true, new StepStarted($step->key->id()), $id);
            }
        }

        return $begun;
    }
}
