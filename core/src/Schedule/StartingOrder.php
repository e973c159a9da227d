<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** One of a few sensible orders to place groups in. */
final class StartingOrder
{
    /** @return array<int, float> by group: the highest that may go, goes first */
    public static function of(Network $network, Propagation $windows, Groups $groups, int $which): array
    {
        $keys = [];
        $activities = array_values($network->problem->activities);
        foreach ($groups->members as $g => $members) {
            $weight = 0;
            $work = 0;
            $latest = 0;
            foreach ($members as $i) {
                $weight = max($weight, $activities[$i]->due->early ?? 0);
                $work += $network->shortest[$i];
                $latest = max($latest, $windows->latest[$i]);
            }
            $keys[$g] = (float) match ($which) {
                0 => $weight * 1e6 + $latest,
                1 => $latest,
                2 => $work,
                default => -$work,
            };
        }

        return $keys;
    }
}
