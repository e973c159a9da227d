<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Modelling\Obstacle;
use FeastLadle\Modelling\ScheduleModel;
use FeastLadle\Schedule\Solution;
use FeastLadle\Solving\DishTiming;
use FeastLadle\Solving\Overrun;
use FeastLadle\Solving\Plan;
use FeastLadle\Words\Sentence;

/** How a plan from here differs from the one in force, in one sentence, and whether anybody has to be asked. */
final class Proposing
{
    /** What people are told to do within so many minutes is not changed without asking. */
    private const TOLD_MINUTES = 10;

    /** Where nothing is behind, nobody is asked for so few minutes. */
    private const HARDLY = 5;

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
                $moves[] = new ProposedMove($step->placed($was, $model->axis), $to);
            }
        }
        if ([] === $moves) {
            return null;
        }
        usort($moves, static fn (ProposedMove $a, ProposedMove $b): int => $a->to->startMinute <=> $b->to->startMinute);
        $because = self::because($plan, $inForce, $states, $model, $now);
        $costs = self::costs($plan, $after);
        if (null === $because && null === $costs && self::isHardlyAnything($moves)) {
            return null;
        }
        $told = $model->axis->minute($now) + self::TOLD_MINUTES;
        $toldChanges = array_filter(
            $moves,
            static fn (ProposedMove $m): bool => $m->from->startMinute >= $model->axis->minute($now) && $m->from->startMinute <= $told,
        );

        return new Proposal(
            'p'.substr(hash('xxh128', serialize([$costs?->id, array_map(static fn (ProposedMove $m): array => [
                $m->to->activity,
                $m->to->people,
                $m->to->burner,
            ], $moves)])), 0, 12),
            $because ?? new Sentence('From here it goes better otherwise.'),
            $costs ?? new Sentence(
                [] === array_filter($after->timings, static fn (DishTiming $t): bool => $t->lateMinutes > 0)
                    ? 'Nothing is missed.'
                    : 'Nothing more is missed by it.',
            ),
            $moves,
            null === $costs && [] === $toldChanges,
            $waits,
        );
    }

    /** @param list<ProposedMove> $moves */
    private static function isHardlyAnything(array $moves): bool
    {
        foreach ($moves as $move) {
            $isElsewhere = $move->from->people !== $move->to->people || $move->from->burner !== $move->to->burner;
            if ($isElsewhere || abs($move->from->startMinute - $move->to->startMinute) > self::HARDLY) {
                return false;
            }
        }

        return true;
    }

    /** What is later, stands too long or waits too long beyond what the plan had; null where nothing is. */
    private static function costs(Plan $plan, Plan $after): ?Sentence
    {
        $most = 0;
        $latest = null;
        foreach ($after->timings as $dish => $timing) {
            if ($timing->lateMinutes > max($most, $plan->timings[$dish]->lateMinutes ?? 0)) {
                [$most, $latest] = [$timing->lateMinutes, $plan->quantities->dishes[$dish]->dish->recipe->name];
            }
        }
        if (null !== $latest) {
            return new Sentence('{what} {minutes} min late.', ['what' => $latest, 'minutes' => $most]);
        }
        $known = static fn (Obstacle $o): string => $o->dish.$o->sentence->id;
        $before = array_map($known, self::broken($plan));
        foreach (self::broken($after) as $obstacle) {
            if (!\in_array($known($obstacle), $before, true)) {
                return $obstacle->sentence;
            }
        }

        return null;
    }

    /** @return list<Obstacle> clocks and windows that are not kept */
    private static function broken(Plan $plan): array
    {
        return [...$plan->clocks, ...array_map(static fn (Overrun $o): Obstacle => $o->obstacle, $plan->overruns)];
    }

    /** What is furthest behind of all that is not over; else what was done last, if late; null where nothing is. */
    private static function because(
        Plan $plan,
        Solution $inForce,
        StepStates $states,
        ScheduleModel $model,
        \DateTimeImmutable $now,
    ): ?Sentence {
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
            ? null
            : new Sentence('"{step}" is {minutes} min behind.', ['step' => $worst->step->title, 'minutes' => $most]);
    }
}
