<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** What was found by numbers, in the problem's own ids. */
final class SolutionWriter
{
    /**
     * @param array{array<int, int>, array<int, int>, array<int, list<int>|null>} $found starts, ends, choices, by number
     */
    public static function of(
        Network $network,
        array $found,
        int $cost,
        ?int $bound,
        int $seed,
        int $iterations = 0,
        bool $mirrored = false,
    ): Solution {
        [$starts, $ends, $chosen] = $found;
        $names = static fn (int $choice): array => array_map(
            static fn (int $r): string => $network->resourceIds[$r],
            $chosen[$choice] ?? [],
        );
        $placements = [];
        foreach ($network->ids as $i => $id) {
            $uses = array_map(static fn (array $need): array => $names($need[0]), $network->needs[$i]);
            $placements[$id] = $mirrored
                ? new Placement(-$ends[$i], -$starts[$i], $uses)
                : new Placement($starts[$i], $ends[$i], $uses);
        }
        $holds = [];
        foreach ($network->holdIds as $h => $id) {
            $holds[$id] = array_map(static fn (array $need): array => $names($need[0]), $network->holdNeeds[$h]);
        }

        return new Solution(SolutionStatus::Feasible, $cost, $bound, $placements, $holds, $seed, [], $iterations);
    }
}
