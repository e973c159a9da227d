<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Day\Happening\Move;
use FeastLadle\Day\Happening\Replanned;
use FeastLadle\Modelling\ScheduleModel;
use FeastLadle\Schedule\Placement;
use FeastLadle\Schedule\Solution;
use FeastLadle\Solving\Plan;

/** The schedule that was last put in force: the one the day began with, and every move since. */
final class PlanInForce
{
    /** @param list<Event> $events in order */
    public static function of(Plan $plan, ScheduleModel $model, array $events): Solution
    {
        $activityOf = [];
        foreach ($plan->steps as $step) {
            $activityOf[$step->key->id()] = $step->activity;
        }
        $placements = $plan->solution->activities;
        foreach ($events as $event) {
            foreach ($event->what instanceof Replanned ? $event->what->moves : [] as $move) {
                $id = $activityOf[$move->step] ?? null;
                if (null !== $id) {
                    $placements[$id] = self::moved($placements[$id], $move, $id, $model);
                }
            }
        }

        return $plan->solution->placing($placements);
    }

    /** At its new minutes, on the fire and by the hands that were said, where the step may be done by them. */
    private static function moved(Placement $was, Move $move, string $id, ScheduleModel $model): Placement
    {
        $said = array_values(array_filter([$move->fire, ...$move->people], static fn (?string $r): bool => null !== $r));
        $uses = $was->uses;
        foreach ($model->problem->activities[$id]->needs as $k => $need) {
            $fits = array_values(array_intersect($said, $need->from));
            if (\count($fits) >= $need->count) {
                $uses[$k] = \array_slice($fits, 0, $need->count);
                $said = array_values(array_diff($said, $uses[$k]));
            }
        }

        return new Placement($model->axis->minute($move->start), $model->axis->minute($move->end), $uses);
    }
}
