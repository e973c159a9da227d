<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Amounts\Quantities;
use FeastLadle\Explaining\MomentChance;
use FeastLadle\Explaining\MomentChances;
use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Modelling\ScheduleModel;
use FeastLadle\Planning\Replanner;
use FeastLadle\Schedule\DurationRange;
use FeastLadle\Schedule\RiskReport;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Solving\DishTiming;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Solving\Task;

/** The day as a fold: the plan it began with, what was said since, and a minute give the state; no clock, nothing kept. */
final readonly class Fold
{
    private const MOST_NAMED = 3;

    private Replanner $replanner;

    public function __construct(private Feast $feast, private Kitchen $kitchen, private Larder $larder)
    {
        $this->replanner = new Replanner($larder);
    }

    /**
     * @param Plan $plan the day began with, feasible
     */
    public function state(Plan $plan, DayLog $log, \DateTimeImmutable $now): DayState
    {
        $events = $log->until($now);
        $states = StepStates::of($plan, $events);
        $task = new Task($this->feast, $this->kitchen, $plan->quantities, null, $this->out($plan));
        $model = Presence::in($this->replanner->model($task), $events);
        $inForce = PlanInForce::of($plan, $model, $events);
        [$done, $running] = $this->progress($plan, $states, $events, $now);
        [$after] = $this->replanner->replan(
            $task,
            $model,
            $inForce,
            $now,
            array_map(static fn (StepProgress $p): array => [$p->started ?? $now, $p->ended ?? $now], $done),
            array_map(static fn (array $r): \DateTimeImmutable => $r[0], $running),
            null,
            1,
            array_map(static fn (array $r): int => $r[1]->likely, $running),
        );
        $goes = SolutionStatus::Feasible === $after->solution->status;
        $from = $goes ? $after : $plan;
        $risk = $goes ? $this->futures($after, $model, $now, $done, $running) : null;
        $standing = new StandingNow($this->feast, $this->kitchen, $this->larder);

        return new DayState(
            $now,
            $from,
            $this->steps($plan, $states, $running, $model, $now),
            $standing->vessels($from, $states, $plan, $events, $now),
            $standing->holds($from, $states, $plan, $now),
            $this->moments($from, $plan, $risk),
            $states->contradictions,
            $goes ? Proposing::of($plan, $inForce, $model, $after, $states, $now) : null,
            $states->withoutStep,
            $goes ? null : ($after->obstacles[0] ?? null)?->sentence,
        );
    }

    /** @return list<string> dishes that the plan leaves out */
    private function out(Plan $plan): array
    {
        return array_values(array_filter(array_map(static fn ($o): string => $o->dish, $plan->obstacles)));
    }

    /**
     * @param list<Event> $events
     *
     * @return array{array<string, StepProgress>, array<string, array{\DateTimeImmutable, Remaining}>} done and running, by activity
     */
    private function progress(Plan $plan, StepStates $states, array $events, \DateTimeImmutable $now): array
    {
        $done = $running = [];
        $measured = new Measured($this->larder, $this->kitchen);
        foreach ($plan->steps as $step) {
            $progress = $states->steps[$step->key->id()];
            if ($progress->state->isOver()) {
                $done[$step->activity] = $progress;
            } elseif (StepState::Running === $progress->state && null !== $progress->started) {
                $running[$step->activity] = [
                    $progress->started,
                    $measured->left($step, $progress, $events, $now) ?? self::left($step, $progress, $now),
                ];
            }
        }

        return [$done, $running];
    }

    /** By the minutes gone, or by the share of a piecework that is done. */
    private static function left(PlannedStep $step, StepProgress $progress, \DateTimeImmutable $now): Remaining
    {
        $gone = ($now->getTimestamp() - ($progress->started ?? $now)->getTimestamp()) / 60;
        if ($progress->share > 0) {
            $rest = 1 - $progress->share;

            return Remaining::of($rest * $step->minMinutes, $rest * $step->minutes(), $rest * $step->maxMinutes);
        }

        return Remaining::after(new DurationRange($step->minMinutes, $step->minutes(), $step->maxMinutes), max(0.0, $gone));
    }

    /**
     * @param array<string, StepProgress>                         $done
     * @param array<string, array{\DateTimeImmutable, Remaining}> $running
     */
    private function futures(Plan $after, ScheduleModel $model, \DateTimeImmutable $now, array $done, array $running): RiskReport
    {
        $minute = $model->axis->minute(...);

        return Futures::of(
            $after,
            $minute($now),
            array_map(static fn (StepProgress $p): array => [$minute($p->started ?? $now), $minute($p->ended ?? $now)], $done),
            array_map(static fn (array $r): array => [$minute($r[0]), $r[1]], $running),
        );
    }

    /**
     * @param array<string, array{\DateTimeImmutable, Remaining}> $running by activity
     *
     * @return list<StepNow>
     */
    private function steps(Plan $plan, StepStates $states, array $running, ScheduleModel $model, \DateTimeImmutable $now): array
    {
        $begins = new CanBegin($plan, $states, $model->problem, $model->axis->minute($now), $model->axis);
        $steps = [];
        foreach ($plan->steps as $step) {
            $progress = $states->steps[$step->key->id()];
            $steps[] = new StepNow(
                $step,
                StepState::NotYet === $progress->state && $begins->may($step) ? $progress->with(StepState::CanBegin) : $progress,
                $running[$step->activity][1] ?? null,
            );
        }

        return $steps;
    }

    /** @return list<MomentNow> */
    private function moments(Plan $from, Plan $plan, ?RiskReport $risk): array
    {
        $ids = [];
        foreach ($plan->steps as $step) {
            $ids[$step->activity] = $step->key;
        }
        $moments = [];
        foreach (MomentChances::of($this->feast, $from, $risk)->moments as $chance) {
            $late = array_map(
                static fn (DishTiming $t): int => $t->due->getTimestamp() === $chance->moment->at->getTimestamp() ? $t->lateMinutes : 0,
                array_values($from->timings),
            );
            $blamed = [];
            foreach ($risk->blame ?? [] as $activity => $_) {
                if (isset($ids[$activity]) && \in_array($ids[$activity]->dish, self::leadingTo($chance, $from->quantities), true)) {
                    $blamed[] = $ids[$activity]->id();
                }
            }
            $moments[] = new MomentNow($chance, max([0, ...$late]), \array_slice($blamed, 0, self::MOST_NAMED));
        }

        return $moments;
    }

    /** @return list<string> the sweet that makes a moment unsure, and the bases it takes from */
    private static function leadingTo(MomentChance $chance, Quantities $quantities): array
    {
        $planned = $quantities->dishes[$chance->least ?? ''] ?? null;

        return null === $planned
            ? []
            : [
                $planned->dish->id,
                ...array_map(static fn (string $slug): string => 'base-'.$slug, array_keys($planned->batchPlan->ledger->bases())),
            ];
    }
}
