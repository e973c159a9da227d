<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Explaining\MomentChance;
use FeastLadle\Explaining\MomentChances;
use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Modelling\Obstacle;
use FeastLadle\Modelling\ScheduleModel;
use FeastLadle\Planning\Replanner;
use FeastLadle\Schedule\DurationRange;
use FeastLadle\Schedule\RiskReport;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Solving\FailedAudit;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Solving\Task;

/** The day as a fold: the plan it began with, what was said since, and a minute give the state; no clock, nothing kept. */
final readonly class Fold
{
    /** Minutes beyond what can be borne at which no moment is worth the wait. */
    private const FAR_BEYOND = 30;

    private Replanner $replanner;

    private Feast $feast;

    private Task $task;

    private ScheduleModel $model;

    /** @param Plan $plan the day began with, feasible */
    public function __construct(Feast $feast, private Kitchen $kitchen, private Larder $larder, private Plan $plan)
    {
        // What was planned to the minute is due at its moment, not at the room that was wished before it.
        $this->feast = $plan->isToTheMinute ? $feast->atTheMinute() : $feast;
        $this->replanner = new Replanner($larder);
        $out = array_values(array_filter(array_map(static fn (Obstacle $o): string => $o->dish, $plan->obstacles)));
        // Its minutes are counted from where the plan's are: a plan made on the day begins on the day.
        $this->task = new Task($this->feast, $kitchen, $plan->quantities, $plan->origin, $out);
        $this->model = $this->replanner->model($this->task);
    }

    public function state(DayLog $log, \DateTimeImmutable $now): DayState
    {
        $here = $this->from($log, $now);
        $goes = SolutionStatus::Feasible === $here->after->solution->status;
        $from = $goes ? $here->after : $this->plan;
        $risk = $goes ? $this->futures($here, $now) : null;
        $really = $here->taken->really;
        $feast = $here->wishes->feast;
        $told = $really->in($from);
        $standing = new StandingNow($feast, $this->kitchen, $this->larder, $told, $this->plan, $here->states, $now);

        return new DayState(
            $now,
            $told,
            $this->steps($here, $now),
            $standing->vessels($here->events),
            $standing->holds(),
            MomentsNow::of($feast, $this->plan, $from, $risk),
            $here->states->contradictions,
            $here->proposal,
            $here->states->withoutStep,
            $goes ? null : ($here->after->obstacles[0] ?? null)?->sentence,
            $this->slips($here, $log, $now),
            (new Portions($this->plan, $here->wishes, $really, $here->states))->now($here->events),
            $here->states->jobs,
        );
    }

    /**
     * The plan from a minute on: what is done stays, what runs keeps fire and pot, the rest moves as little as it must.
     *
     * @param array<string, int> $delays minutes that steps take beyond what they take anyway, by step id
     */
    public function from(DayLog $log, \DateTimeImmutable $now, array $delays = []): PlanFromHere
    {
        $events = $log->until($now);
        $states = StepStates::of($this->plan, $events);
        $wishes = Wishes::of($this->feast, $events);
        $task = $wishes->isMoved ? $this->task->by($wishes->feast) : $this->task;
        $model = Presence::in($wishes->isMoved ? $this->replanner->model($task) : $this->model, $events);
        $inForce = PlanInForce::of($this->plan, $model, $events);
        $taken = WaysTaken::of($this->feast, $this->plan, $this->kitchen, $this->larder, $events);
        foreach ($taken->delays($now) as $id => $minutes) {
            $delays[$id] = ($delays[$id] ?? 0) + $minutes;
        }
        $told = array_map(
            static fn (PlannedStep $s): PlannedStep => $s->placed($inForce->activities[$s->activity], $model->axis),
            $this->plan->steps,
        );
        $states = $states->withWhatWaits($this->plan, $told, $now, $delays);
        [$done, $running] = $this->progress($states, $taken->really, $events, $now, $delays);
        $longer = TakesLonger::of($model, $inForce, $this->timesAsLong($states, $taken->really));
        $model = $longer->model;
        [$after, , $waits] = $this->replanner->replan(
            $task,
            $model,
            $inForce,
            $now,
            array_map(static fn (StepProgress $p): array => [$p->started ?? $now, $p->ended ?? $now], $done),
            array_map(static fn (array $r): \DateTimeImmutable => $r[0], $running),
            null,
            1,
            array_map(static fn (array $r): int => $r[1]->likely, $running),
            $longer->lasts,
        );
        $goes = SolutionStatus::Feasible === $after->solution->status;
        $waits = $waits || ($goes && $this->isAsGoodInTurn($wishes->feast, $model, $longer->in($inForce), $after, $done, $running, $now));

        return new PlanFromHere(
            $events,
            $after,
            $states,
            $model,
            $done,
            $running,
            $goes ? Proposing::of($this->plan, $inForce, $model, $after, $states, $now, $waits) : null,
            $wishes,
            $taken,
        );
    }

    /**
     * Whether the order in force meets as much as a plan from here would, and keeps nothing waiting much too long: then it stands.
     *
     * @param array<string, StepProgress>                         $done
     * @param array<string, array{\DateTimeImmutable, Remaining}> $running
     */
    private function isAsGoodInTurn(
        Feast $feast,
        ScheduleModel $model,
        Solution $inForce,
        Plan $after,
        array $done,
        array $running,
        \DateTimeImmutable $now,
    ): bool {
        $minute = $model->axis->minutePassed(...);
        $from = $minute($now);
        $inTurn = InTurn::of(
            $model->problem,
            $inForce,
            $after->solution,
            self::minutes($done, $model, $now),
            array_map(static fn (array $r): array => [$minute($r[0]), $from + $r[1]->likely], $running),
            $from,
            $this->plan->margins,
        );

        if ($inTurn->beyond <= 0 && $inTurn->late <= InTurn::lateness($model->problem, $after->solution, $this->plan->margins)) {
            return true;
        }
        if ($inTurn->beyond > self::FAR_BEYOND) {
            return false;
        }
        // By the likely minutes it is better otherwise: is it, in many futures?
        $chance = static fn (Solution $of): float => self::meanChance($feast, $after, Futures::of(
            $after,
            $from,
            self::minutes($done, $model, $now),
            array_map(static fn (array $r): array => [$minute($r[0]), $r[1]], $running),
            1,
            $model->problem,
            $of,
        ));

        return $chance($after->solution->placing($inTurn->placements)) > $chance($after->solution);
    }

    private static function meanChance(Feast $feast, Plan $plan, RiskReport $risk): float
    {
        $chances = array_map(static fn (MomentChance $c): float => $c->chance ?? 1.0, MomentChances::of($feast, $plan, $risk)->moments);

        return array_sum($chances) / max(1, \count($chances));
    }

    /** @return list<SlipNow> what went wrong and waits for an answer, each way planned from here */
    private function slips(PlanFromHere $here, DayLog $log, \DateTimeImmutable $now): array
    {
        $slips = [];
        foreach ($here->taken->open() as [$event, $step, $answer]) {
            $plans = $ways = [];
            foreach ($answer->ways as $way) {
                // Ways that take as long come to the same plan.
                $plans[$way->minutes] ??= $this->by($log, $now, $step, $way->minutes);
                $plan = $plans[$way->minutes];
                $timing = $plan->timings[$step->dish->dish->id] ?? null;
                $isFound = SolutionStatus::Feasible === $plan->solution->status;
                $ways[] = new WayNow(
                    WaysTaken::id($event, $way),
                    $way,
                    $isFound ? $timing?->ready : null,
                    $timing->lateMinutes ?? 0,
                    $isFound,
                );
            }
            $slips[] = new SlipNow($event, $step, $answer, $ways);
        }

        return $slips;
    }

    private function by(DayLog $log, \DateTimeImmutable $now, PlannedStep $step, int $minutes): Plan
    {
        try {
            return $this->from($log, $now, [$step->key->id() => $minutes])->after;
        } catch (FailedAudit) {
            return Plan::unscheduled($this->plan->quantities);
        }
    }

    /**
     * @param list<Event>        $events
     * @param array<string, int> $delays
     *
     * @return array{array<string, StepProgress>, array<string, array{\DateTimeImmutable, Remaining}>} done and running, by activity
     */
    private function progress(
        StepStates $states,
        ReallyIn $really,
        array $events,
        \DateTimeImmutable $now,
        array $delays,
    ): array {
        $done = $running = [];
        $measured = new Measured($this->larder, $this->kitchen);
        foreach ($this->plan->steps as $step) {
            $progress = $states->steps[$step->key->id()];
            $more = $delays[$step->key->id()] ?? 0;
            if (StepState::Done === $progress->state && $more > 0) {
                // What has to be mended is not done after all.
                $running[$step->activity] = [$progress->started ?? $now, Remaining::of($more, $more, $more)];
            } elseif ($progress->state->isOver()) {
                $done[$step->activity] = $progress;
            } elseif (StepState::Running === $progress->state && null !== $progress->started) {
                $left =
                    $measured->left($really->at($step), $progress, $events, $now)
                    ?? self::left($step, $really->timesAsLong($step), $progress, $now);
                $running[$step->activity] = [
                    $progress->started,
                    Remaining::of($left->least + $more, $left->likely + $more, $left->most + $more),
                ];
            }
        }

        foreach ($this->plan->jobs as $job) {
            $progress = $states->jobs[$job->activity ?? ''] ?? StepProgress::notYet();
            if (null !== $job->activity && $progress->state->isOver()) {
                $done[$job->activity] = $progress;
            } elseif (null !== $job->activity && null !== $progress->started) {
                $gone = max(0.0, ($now->getTimestamp() - $progress->started->getTimestamp()) / 60);
                $range = DurationRange::exactly($job->endMinute - $job->startMinute);
                $running[$job->activity] = [$progress->started, Remaining::after($range, $gone)];
            }
        }

        return [$done, $running];
    }

    /** @return array<string, float> how many times as long as planned what has not begun takes, by activity */
    private function timesAsLong(StepStates $states, ReallyIn $really): array
    {
        $times = [];
        foreach ($this->plan->steps as $step) {
            if (StepState::NotYet === $states->steps[$step->key->id()]->state && $really->isOf($step->key->dish)) {
                $times[$step->activity] = $really->timesAsLong($step);
            }
        }

        return $times;
    }

    /** By the minutes gone, or by the share of a piecework that is done. */
    private static function left(PlannedStep $step, float $times, StepProgress $progress, \DateTimeImmutable $now): Remaining
    {
        [$least, $likely, $most] = [$times * $step->minMinutes, $times * $step->minutes(), $times * $step->maxMinutes];
        $gone = ($now->getTimestamp() - ($progress->started ?? $now)->getTimestamp()) / 60;
        if ($progress->share > 0) {
            $rest = 1 - $progress->share;

            return Remaining::of($rest * $least, $rest * $likely, $rest * $most);
        }
        $range = new DurationRange((int) round($least), (int) round($likely), (int) round($most));

        return Remaining::after($range, max(0.0, $gone));
    }

    /**
     * @param array<string, StepProgress> $done
     *
     * @return array<string, array{int, int}> minutes in which each was done
     */
    private static function minutes(array $done, ScheduleModel $model, \DateTimeImmutable $now): array
    {
        return array_map(
            static fn (StepProgress $p): array => [
                $model->axis->minutePassed($p->started ?? $now),
                $model->axis->minutePassed($p->ended ?? $now),
            ],
            $done,
        );
    }

    private function futures(PlanFromHere $here, \DateTimeImmutable $now): RiskReport
    {
        $minute = $here->model->axis->minutePassed(...);

        return Futures::of(
            $here->after,
            $minute($now),
            self::minutes($here->done, $here->model, $now),
            array_map(static fn (array $r): array => [$minute($r[0]), $r[1]], $here->running),
        );
    }

    /** @return list<StepNow> */
    private function steps(PlanFromHere $here, \DateTimeImmutable $now): array
    {
        $begins = new CanBegin($this->plan, $here->states, $here->model->problem, $here->model->axis->minute($now), $here->model->axis);
        $steps = [];
        foreach ($this->plan->steps as $step) {
            $progress = $here->states->steps[$step->key->id()];
            $steps[] = new StepNow(
                $step,
                StepState::NotYet === $progress->state && $begins->may($step) ? $progress->with(StepState::CanBegin) : $progress,
                $here->running[$step->activity][1] ?? null,
            );
        }

        return $steps;
    }
}
