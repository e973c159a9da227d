<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** A solution as the timeline of its network. */
final class SolutionTimeline
{
    public static function of(Network $network, Solution $solution): Timeline
    {
        $timeline = new Timeline($network);
        $numbers = array_flip($network->resourceIds);
        $starts = $ends = $chosen = [];
        foreach ($network->ids as $i => $id) {
            $placement = $solution->activities[$id];
            $starts[$i] = $placement->start;
            $ends[$i] = $placement->end;
            foreach ($network->needs[$i] as $k => [$choice]) {
                $chosen[$choice] = array_map(static fn (string $r): int => $numbers[$r], $placement->uses[$k] ?? []);
            }
        }
        foreach ($network->holdIds as $h => $id) {
            foreach ($network->holdNeeds[$h] as $k => [$choice]) {
                $chosen[$choice] = array_map(static fn (string $r): int => $numbers[$r], $solution->holds[$id][$k] ?? []);
            }
        }
        $timeline->become($starts, $ends, $chosen);

        return $timeline;
    }

    /** What the objective of a problem makes of a solution. */
    public static function objective(Problem $problem, Solution $solution): int
    {
        $network = new Network($problem);

        return (new Cost($network, self::of($network, $solution)))->now();
    }
}
