<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * What it costs at least that several activities are due at the same time while only so many can be done at once.
 *
 * Relaxed to machines that are free at any time, some best schedule has no activity across the due time, so it is split into
 * early and late ones; each side in the order of weight by length (Smith 1956), for several machines by the bound of
 * Eastman, Even and Isaacs (1964). The split is the cheapest of all. Common due dates: Baker and Scudder (1990).
 */
final class CommonDue
{
    /** Splits double with each activity; of more than so many only the dearest count. */
    private const MOST = 12;

    /**
     * @param list<array{int, int, int}> $jobs     length, cost of a minute early, of a minute late
     * @param positive-int               $machines how many run at once
     */
    public static function bound(array $jobs, int $machines): int
    {
        usort($jobs, static fn (array $a, array $b): int => min($b[1], $b[2]) * $b[0] <=> min($a[1], $a[2]) * $a[0]);
        $jobs = \array_slice($jobs, 0, self::MOST);
        $byEarly = $byLate = array_keys($jobs);
        usort($byEarly, static fn (int $a, int $b): int => $jobs[$b][1] * $jobs[$a][0] <=> $jobs[$a][1] * $jobs[$b][0]);
        usort($byLate, static fn (int $a, int $b): int => $jobs[$b][2] * $jobs[$a][0] <=> $jobs[$a][2] * $jobs[$b][0]);
        $best = \INF;
        for ($late = 0; $late < 1 << \count($jobs); ++$late) {
            $behind = $cost = $work = 0;
            foreach ($byEarly as $j) {
                if (0 === ($late & 1 << $j)) {
                    $cost += $jobs[$j][1] * $behind;
                    $behind += $jobs[$j][0];
                    $work += $jobs[$j][1] * $jobs[$j][0];
                }
            }
            $total = max(0, $cost / $machines - $work * ($machines - 1) / (2 * $machines));
            $behind = $cost = $work = 0;
            foreach ($byLate as $j) {
                if (0 !== ($late & 1 << $j)) {
                    $behind += $jobs[$j][0];
                    $cost += $jobs[$j][2] * $behind;
                    $work += $jobs[$j][2] * $jobs[$j][0];
                }
            }
            $best = min($best, $total + $cost / $machines + $work * ($machines - 1) / (2 * $machines));
        }

        return (int) ceil($best - 1e-9);
    }

    /**
     * Activities of a network that are due together and can only be done one after the other on the same resources.
     *
     * @return list<array{list<int>, positive-int}> activities, and how many can be done at once
     */
    public static function sets(Network $network): array
    {
        $sets = [];
        foreach (array_values($network->problem->activities) as $i => $activity) {
            if (null === $activity->due) {
                continue;
            }
            foreach ($network->needs[$i] as [$choice, $units]) {
                $options = $network->options[$choice];
                $whole = array_filter($options, static fn (int $r): bool => 2 * $units > $network->capacity[$r]);
                if ([] === $options || \count($whole) < \count($options)) {
                    continue;
                }
                sort($options);
                $key = $activity->due->at.' '.implode(' ', $options);
                $sets[$key] ??= [[], \count($options)];
                $sets[$key][0][] = $i;
                break;
            }
        }

        return array_values($sets);
    }
}
