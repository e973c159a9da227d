<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

/** Half-open intervals of minutes. */
final class Calendar
{
    /**
     * @param list<array{int, int}> $intervals
     *
     * @return list<array{int, int}> by start, with what touches or overlaps made one
     */
    public static function merged(array $intervals): array
    {
        sort($intervals);
        $merged = [];
        foreach ($intervals as $interval) {
            $last = array_key_last($merged);
            if (null !== $last && $interval[0] <= $merged[$last][1]) {
                $merged[$last][1] = max($merged[$last][1], $interval[1]);
            } else {
                $merged[] = $interval;
            }
        }

        return $merged;
    }

    /**
     * @param list<array{int, int}> $calendar
     * @param list<array{int, int}> $closed
     *
     * @return list<array{int, int}>
     */
    public static function without(array $calendar, array $closed): array
    {
        foreach (self::merged($closed) as [$from, $to]) {
            $left = [];
            foreach ($calendar as [$open, $close]) {
                foreach ([[$open, min($close, $from)], [max($open, $to), $close]] as $part) {
                    if ($part[0] < $part[1]) {
                        $left[] = $part;
                    }
                }
            }
            $calendar = $left;
        }

        return $calendar;
    }
}
