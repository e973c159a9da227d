<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Modelling\ScheduleModel;
use FeastLadle\Schedule\Solution;
use FeastLadle\Solving\DishTiming;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Words\Sentence;

/** How a plan from here differs from the one in force, in one sentence, and whether anybody has to be asked. */
final class Proposing
{
    /** What people are told to do within so many minutes is not changed without asking. */
    private const TOLD_MINUTES = 10;

    public static function of(
        Plan $plan,
        Solution $inForce,
        ScheduleModel $model,
        Plan $after,
        StepStates $states,
        \DateTimeImmutable $now,
        bool $waits,
    ): ?Proposal {
        $later = [];
        foreach ($after->steps as $step) {
            $later[$step->activity] = $step;
        }
        $moves = [];
        foreach ($plan->steps as $step) {
            $to = $later[$step->activity] ?? null;
            $was = $inForce->activities[$step->activity];
            if (null === $to || StepState::NotYet !== $states->steps[$step->key->id()]->state) {
                continue;
            }
            $elsewhere = $was->uses !== $after->solution->activities[$step->activity]->uses;
            if ($was->start !== $to->startMinute || $elsewhere) {
                $moves[] = new ProposedMove(self::at($step, $was->start, $was->end, $model), $to);
            }
        }
        if ([] === $moves) {
            return null;
        }
        usort($moves, static fn (ProposedMove $a, ProposedMove $b): int => $a->to->startMinute <=> $b->to->startMinute);
        $late = array_filter(
            $after->timings,
            static fn (DishTiming $t): bool => $t->lateMinutes > ($plan->timings[$t->dish]->lateMinutes ?? 0),
        );
        $told = $model->axis->minute($now) + self::TOLD_MINUTES;
        $toldChanges = array_filter(
            $moves,
            static fn (ProposedMove $m): bool => $m->from->startMinute >= $model->axis->minute($now) && $m->from->startMinute <= $told,
        );

        return new Proposal(
            'p'.substr(hash('xxh128', serialize(array_map(static fn (ProposedMove $m): array => [
                $m->to->activity,
                $m->to->startMinute,
                $m->to->people,
                $m->to->burner,
            ], $moves))), 0, 12),
            self::because($plan, $inForce, $states, $model, $now),
            [] === $late
                ? new Sentence('Nothing is missed.')
                : new Sentence('{what} {minutes} min late.', [
                    'what' => $plan->quantities->dishes[(string) array_key_first($late)]->dish->recipe->name,
                    'minutes' => max(array_map(static fn (DishTiming $t): int => $t->lateMinutes, $late)),
                ]),
            $moves,
            [] === $late && [] === $toldChanges,
            $waits,
        );
    }

    /** What is furthest behind of all that is not over; else what was done last, if late. */
    private static function because(
        Plan $plan,
        Solution $inForce,
        StepStates $states,
        ScheduleModel $model,
        \DateTimeImmutable $now,
    ): Sentence {
        $worst = $last = null;
        $most = $lastOff = 0;
        $minute = $model->axis->minute(...);
        foreach ($plan->steps as $step) {
            $progress = $states->steps[$step->key->id()];
            $was = $inForce->activities[$step->activity];
            $off = $minute($progress->ended ?? $now) - (null === $progress->started ? $was->start : $was->end);
            if (!$progress->state->isOver() && $off > $most) {
                [$most, $worst] = [$off, $step];
            }
            if (null !== $progress->ended && $off > 0 && (null === $last || $last <= $progress->ended)) {
                [$last, $lastOff, $lastStep] = [$progress->ended, $off, $step];
            }
        }
        if (null === $worst && isset($lastStep)) {
            [$worst, $most] = [$lastStep, $lastOff];
        }

        return null === $worst
            ? new Sentence('From here it goes better otherwise.')
            : new Sentence('"{step}" is {minutes} min behind.', ['step' => $worst->step->title, 'minutes' => $most]);
    }

    private static function at(PlannedStep $step, int $start, int $end, ScheduleModel $model): PlannedStep
    {
        return new PlannedStep(
            $step->key,
            $step->dish,
            $step->step,
            $start,
            $end,
            $model->axis->instant($start),
            $model->axis->instant($end),
            $step->minMinutes,
            $step->maxMinutes,
            $step->burner,
            $step->vessels,
            $step->people,
            $step->bowls,
            $step->activity,
            $step->for,
            $step->flame,
            $step->lid,
        );
    }
}
