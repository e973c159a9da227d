<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** Longest paths between all pairs (Floyd and Warshall). */
final class LongestPaths
{
    /** No path. */
    public const NEVER = -1_000_000_000;

    /**
     * @param iterable<array{int, int, int}> $arcs from, to, weight
     *
     * @return array<int, array<int, int>> longest path by start and end, NEVER where there is none
     */
    public static function between(int $size, iterable $arcs): array
    {
        $d = $size > 0 ? array_fill(0, $size, array_fill(0, $size, self::NEVER)) : [];
        for ($i = 0; $i < $size; ++$i) {
            $d[$i][$i] = 0;
        }
        foreach ($arcs as [$from, $to, $weight]) {
            if ($weight > $d[$from][$to]) {
                $d[$from][$to] = $weight;
            }
        }
        for ($k = 0; $k < $size; ++$k) {
            $through = $d[$k];
            for ($i = 0; $i < $size; ++$i) {
                $toK = $d[$i][$k];
                if (self::NEVER === $toK) {
                    continue;
                }
                $row = $d[$i];
                for ($j = 0; $j < $size; ++$j) {
                    if (self::NEVER !== $through[$j] && $toK + $through[$j] > $row[$j]) {
                        $row[$j] = $toK + $through[$j];
                    }
                }
                $d[$i] = $row;
            }
        }

        return $d;
    }
}
