<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** The latest time at which something more fits beside what is placed: the inner loop of the solver. */
final class Timeline extends Occupancy
{
    /** No time fits, however early. */
    public const NO_TIME = \PHP_INT_MIN;

    /**
     * After NO_TIME: the hold that cannot stretch, its resource, and where the other use begins; or null.
     *
     * @var array{int, int, int}|null
     */
    public ?array $blockedHold = null;

    /** What asking for a place costs beside the interval tests, and each look into one resource, in the same measure. */
    private const WORK_OF_A_FIT = 8;
    private const WORK_OF_A_LOOK = 3;

    /** @var array<int, list<int>> after a fit: resources by choice, for those that were left free */
    public array $settled = [];

    /**
     * The latest start in [low, high] at which the activity fits with these resources.
     *
     * @param array<int, list<int>> $choices resources for choices that are still open
     * @param array<int, list<int>> $free    options of open choices that are settled here, as lies best: what was taken is in $settled
     */
    public function latestFit(int $i, int $duration, int $low, int $high, array $choices, array $free = []): int
    {
        $n = $this->network;
        $this->work += self::WORK_OF_A_FIT;
        $this->blockedHold = null;
        $units = [];
        if ($duration > 0) {
            foreach ($n->needs[$i] as [$choice, $each]) {
                foreach ($choices[$choice] ?? ($this->chosen[$choice] ?? []) as $r) {
                    $units[$r] = ($units[$r] ?? 0) + $each;
                }
            }
        }
        $held = [];
        foreach ($n->holdsOf[$i] as $h) {
            foreach ($n->holdNeeds[$h] as [$choice, $each]) {
                foreach ($choices[$choice] ?? ($this->chosen[$choice] ?? []) as $r) {
                    $held[$r][$h] = ($held[$r][$h] ?? 0) + $each;
                }
            }
        }
        foreach ($held as $r => $holds) {
            // Two holds that meet in one activity overlap there, whenever it is.
            if (\count($holds) > 1 && array_sum($holds) > $n->capacity[$r]) {
                return self::NO_TIME;
            }
        }
        $this->settled = [];
        $t = $high;
        do {
            $before = $t;
            foreach ($units as $r => $wanted) {
                $t = $this->latestOn($r, $i, $wanted, $duration, $low, $t, $held[$r] ?? []);
                if ($t < $low) {
                    return self::NO_TIME;
                }
            }
            foreach ($held as $r => $holds) {
                foreach ($holds as $h => $wanted) {
                    $t = $this->latestHold($r, $h, $holds, $duration, $low, $t);
                    if ($t < $low) {
                        return self::NO_TIME;
                    }
                }
            }
            foreach ($free as $choice => $options) {
                $t = $this->latestOnSome($choice, $options, $i, $duration, $low, $t);
                if ($t < $low) {
                    return self::NO_TIME;
                }
            }
        } while ($t !== $before);

        return $t;
    }

    /**
     * The latest start at which enough of the options fit; those are kept in $settled.
     *
     * @param list<int> $options
     */
    private function latestOnSome(int $choice, array $options, int $i, int $duration, int $low, int $t): int
    {
        $n = $this->network;
        $takes = $n->takes[$choice];
        $wanted = 0;
        foreach ($duration > 0 ? $n->needs[$i] : [] as [$of, $units]) {
            $wanted += $of === $choice ? $units : 0;
        }
        $holds = [];
        foreach ($n->holdsOf[$i] as $h) {
            foreach ($n->holdNeeds[$h] as [$of, $units]) {
                if ($of === $choice) {
                    $holds[$h] = ($holds[$h] ?? 0) + $units;
                }
            }
        }
        $blocked = $this->blockedHold;
        while (true) {
            $latest = [];
            $fitting = [];
            foreach ($options as $r) {
                $at = $this->latestOnOne($r, $i, $wanted, $holds, $duration, $low, $t);
                if (null !== $this->blockedHold && (null === $blocked || $this->blockedHold[2] > $blocked[2])) {
                    $blocked = $this->blockedHold;
                }
                if ($at === $t) {
                    $fitting[] = $r;
                    if (\count($fitting) === $takes) {
                        $this->settled[$choice] = $fitting;
                        $this->blockedHold = $blocked;

                        return $t;
                    }
                }
                $latest[] = $at;
            }
            rsort($latest);
            $t = $latest[$takes - 1] ?? self::NO_TIME;
            if ($t < $low) {
                $this->blockedHold = $blocked;

                return self::NO_TIME;
            }
        }
    }

    /** @param array<int, int> $holds of the activity on this resource → units */
    private function latestOnOne(int $r, int $i, int $wanted, array $holds, int $duration, int $low, int $t): int
    {
        if (\count($holds) > 1 && array_sum($holds) > $this->network->capacity[$r]) {
            return self::NO_TIME;
        }
        do {
            $before = $t;
            if ($wanted > 0) {
                $t = $this->latestOn($r, $i, $wanted, $duration, $low, $t, $holds);
                if ($t < $low) {
                    return self::NO_TIME;
                }
            }
            foreach ($holds as $h => $_) {
                $t = $this->latestHold($r, $h, $holds, $duration, $low, $t);
                if ($t < $low) {
                    return self::NO_TIME;
                }
            }
        } while ($t !== $before);

        return $t;
    }

    /**
     * @param array<int, int> $ownHolds holds of the activity on this resource → units
     */
    private function latestOn(int $r, int $i, int $wanted, int $duration, int $low, int $t, array $ownHolds): int
    {
        $n = $this->network;
        $capacity = $n->capacity[$r];
        if ($wanted > $capacity) {
            return self::NO_TIME;
        }
        $turnover = $n->turnover[$r];
        $starts = $this->start;
        $ends = $this->end;
        while (true) {
            $this->work += self::WORK_OF_A_LOOK;
            $t = $this->intoCalendar($r, $t, $duration, $low);
            if ($t < $low) {
                return self::NO_TIME;
            }
            $end = $t + $duration;
            $edge = \PHP_INT_MAX;
            if (1 === $capacity) {
                foreach ($this->actsOn[$r] as $j => $_) {
                    ++$this->work;
                    $gap = $turnover;
                    if ($gap > 0 && [] !== $ownHolds) {
                        foreach ($n->holdsOf[$j] as $h) {
                            if (isset($ownHolds[$h])) {
                                $gap = 0;
                                break;
                            }
                        }
                    }
                    if ($t < $ends[$j] + $gap && $starts[$j] < $end + $gap && $starts[$j] - $gap < $edge) {
                        $edge = $starts[$j] - $gap;
                    }
                }
                foreach ($this->holdsOn[$r] as $h => $_) {
                    ++$this->work;
                    if (
                        !isset($ownHolds[$h])
                        && $t < $this->holdEnd[$h] + $turnover
                        && $this->holdStart[$h] < $end + $turnover
                        && $this->holdStart[$h] - $turnover < $edge
                    ) {
                        $edge = $this->holdStart[$h] - $turnover;
                    }
                }
            } else {
                $edge = $this->overflowEdge($r, $i, $wanted, $t, $end, $ownHolds);
            }
            if (\PHP_INT_MAX === $edge) {
                return $t;
            }
            $t = $edge - $duration;
        }
    }

    /**
     * Whether hold h may take in [t, t + duration) on resource r; a hold only stretches, so going earlier never frees it.
     *
     * @param array<int, int> $ownHolds all holds of the activity on this resource → units
     */
    private function latestHold(int $r, int $h, array $ownHolds, int $duration, int $low, int $t): int
    {
        $n = $this->network;
        $fresh = 0 === $this->holdCount[$h];
        $turnover = $n->turnover[$r];
        while (true) {
            $this->work += self::WORK_OF_A_LOOK;
            if ($fresh && $duration > 0) {
                $t = $this->intoCalendar($r, $t, $duration, $low);
                if ($t < $low) {
                    return self::NO_TIME;
                }
            }
            $from = $fresh ? $t : min($t, $this->holdStart[$h]);
            $to = $fresh ? $t + $duration : max($t + $duration, $this->holdEnd[$h]);
            if ($to === $from) {
                return $t;
            }
            $edge = \PHP_INT_MAX;
            if (!$fresh && !$this->withinCalendar($r, $from, $to)) {
                $edge = $this->openingBefore($r, $this->holdEnd[$h]);
                if ($t + $duration > $this->holdEnd[$h]) {
                    // It may still fit once it ends with the hold.
                    $t = $this->holdEnd[$h] - $duration;
                    if ($t < $low) {
                        return self::NO_TIME;
                    }
                    continue;
                }
                $this->blockedHold = [$h, $r, $edge];

                return self::NO_TIME;
            }
            if (1 === $n->capacity[$r]) {
                foreach ($this->actsOn[$r] as $j => $_) {
                    ++$this->work;
                    if (!\in_array($h, $n->holdsOf[$j], true) && $from < $this->end[$j] + $turnover && $this->start[$j] < $to + $turnover) {
                        $edge = min($edge, $this->start[$j] - $turnover);
                    }
                }
                foreach ($this->holdsOn[$r] as $other => $_) {
                    ++$this->work;
                    if ($other !== $h && $from < $this->holdEnd[$other] + $turnover && $this->holdStart[$other] < $to + $turnover) {
                        $edge = min($edge, $this->holdStart[$other] - $turnover);
                    }
                }
            } else {
                $edge = $this->overflowEdge($r, -1, 0, $from, $to, $ownHolds);
            }
            if (\PHP_INT_MAX === $edge) {
                return $t;
            }
            if (!$fresh && $edge < $this->holdEnd[$h]) {
                $this->blockedHold = [$h, $r, $edge];

                return self::NO_TIME;
            }
            $t = $edge - $duration;
            if ($t < $low) {
                return self::NO_TIME;
            }
        }
    }

    /** Whether some member of a hold is placed. */
    public function isBegun(int $hold): bool
    {
        return $this->holdCount[$hold] > 0;
    }

    public function isOpen(int $choice): bool
    {
        return null === $this->chosen[$choice];
    }

    private function intoCalendar(int $r, int $t, int $duration, int $low): int
    {
        $calendar = $this->network->calendar[$r];
        for ($k = \count($calendar) - 1; $k >= 0; --$k) {
            [$open, $close] = $calendar[$k];
            if ($open > $t) {
                continue;
            }
            $latest = $close - $duration;
            if ($latest >= $open) {
                return $t < $latest ? $t : $latest;
            }
            if ($open < $low) {
                break;
            }
        }

        return self::NO_TIME;
    }

    private function withinCalendar(int $r, int $from, int $to): bool
    {
        foreach ($this->network->calendar[$r] as [$open, $close]) {
            if ($open <= $from && $to <= $close) {
                return true;
            }
        }

        return false;
    }

    /** Start of the calendar interval in which a moment lies. */
    private function openingBefore(int $r, int $moment): int
    {
        foreach ($this->network->calendar[$r] as [$open, $close]) {
            if ($open < $moment && $moment <= $close) {
                return $open;
            }
        }

        return $moment;
    }
}
