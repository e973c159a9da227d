<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Modelling\ScheduleModel;
use FeastLadle\Schedule\Activity;
use FeastLadle\Schedule\DurationRange;
use FeastLadle\Schedule\Need;
use FeastLadle\Schedule\Placement;
use FeastLadle\Schedule\Solution;

/** What is to come takes longer, or less long, when more or less stands in its pot than was planned. */
final readonly class TakesLonger
{
    /** Less is not worth a word. */
    private const HARDLY = 0.02;

    /**
     * @param array<string, int> $lasts minutes that what is not as planned takes where it was planned, by activity
     */
    private function __construct(public ScheduleModel $model, public array $lasts)
    {
    }

    /** The schedule in force with steps that last as long as they do now; they may get into each other's way. */
    public function in(Solution $inForce): Solution
    {
        $placements = $inForce->activities;
        foreach ($this->lasts as $id => $minutes) {
            $placements[$id] = new Placement($placements[$id]->start, $placements[$id]->start + $minutes, $placements[$id]->uses);
        }

        return $inForce->placing($placements);
    }

    /** @param array<string, float> $times how many times as long as planned, by activity */
    public static function of(ScheduleModel $model, Solution $inForce, array $times): self
    {
        $activities = $model->problem->activities;
        $lasts = [];
        foreach ($times as $id => $factor) {
            if (abs($factor - 1) <= self::HARDLY) {
                continue;
            }
            $was = $activities[$id];
            $scaled = static fn (int $minutes): int => 0 === $minutes ? 0 : max(1, (int) round($factor * $minutes));
            $activities[$id] = new Activity(
                $id,
                new DurationRange($scaled($was->duration->min), $scaled($was->duration->likely), $scaled($was->duration->max)),
                array_map(
                    static fn (Need $n): Need => new Need($n->from, $n->count, $n->units, array_map($scaled, $n->durations), $n->sameAs),
                    $was->needs,
                ),
                $was->earliestStart,
                $was->latestEnd,
                $was->due,
            );
            $lengths = [];
            foreach ($activities[$id]->needs as $k => $need) {
                foreach ([] === $need->durations ? [] : $inForce->activities[$id]->uses[$k] as $resource) {
                    $lengths[] = $need->durations[$resource] ?? $activities[$id]->duration->likely;
                }
            }
            $lasts[$id] = [] === $lengths ? $activities[$id]->duration->likely : max($lengths);
        }

        return new self([] === $lasts ? $model : $model->withProblem($model->problem->with(activities: $activities)), $lasts);
    }
}
