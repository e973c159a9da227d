<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Schedule\Activity;
use FeastLadle\Schedule\DurationRange;
use FeastLadle\Schedule\Link;
use FeastLadle\Schedule\Placement;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\Risk;
use FeastLadle\Schedule\RiskReport;
use FeastLadle\Schedule\Solution;
use FeastLadle\Solving\Plan;

/** Futures drawn from this minute on: what is done stays as it was, what runs lasts as long as is left of it, turns are kept. */
final class Futures
{
    /** Enough to tell a chance to about three of 100. */
    private const RUNS = 300;

    /**
     * @param array<string, array{int, int}>       $done    start and end, by activity
     * @param array<string, array{int, Remaining}> $running start, and what is left, by activity
     */
    public static function of(
        Plan $plan,
        int $now,
        array $done,
        array $running,
        int $seed = 1,
        ?Problem $problem = null,
        ?Solution $solution = null,
    ): RiskReport {
        $problem ??= $plan->problem;
        $solution ??= $plan->solution;
        $activities = $problem->activities;
        $placements = $solution->activities;
        foreach ($done as $id => [$start, $end]) {
            $activities[$id] = new Activity($id, DurationRange::exactly($end - $start), [], $start, $end, $activities[$id]->due);
            $placements[$id] = new Placement($start, $end, []);
        }
        foreach ($running as $id => [$start, $left]) {
            $was = $activities[$id];
            $gone = $now - $start;
            $range = new DurationRange($gone + $left->least, $gone + $left->likely, $gone + $left->most);
            $activities[$id] = new Activity($id, $range, $was->needs, $start, $problem->horizonEnd, $was->due);
            $placements[$id] = new Placement($start, $start + $range->likely, $placements[$id]->uses);
        }
        $begun = $done + $running;
        // What has happened happened, in whatever order.
        $links = array_values(array_filter($problem->links, static fn (Link $l): bool => !isset($begun[$l->to])));

        return Risk::of(
            $problem->with(activities: $activities, links: $links),
            $solution->placing($placements),
            self::RUNS,
            $seed,
            $plan->margins,
        );
    }
}
