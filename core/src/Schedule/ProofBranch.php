<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** What is decided on one way through a Refutation: gaps between starts, what is left to choose, pairs that are settled. */
final class ProofBranch
{
    private const ORIGIN = 0;

    /** @var array<int, list<int>> resources by choice */
    public array $options;

    /** @var array<int, true> pairs that are decided */
    public array $settled = [];

    /** @var array<int, true> of these, pairs that overlap and need a resource each */
    public array $apart = [];

    /** @var array<int, int> by activity */
    private array $shortest;

    private function __construct(private readonly Network $network, private Distances $distances)
    {
        $this->options = $network->options;
        $this->shortest = $network->shortest;
    }

    public function __clone()
    {
        $this->distances = clone $this->distances;
    }

    /**
     * @param array<int, int>                 $earliest start by activity
     * @param array<int, int>                 $latest   start by activity
     * @param list<array{int, int, int, int}> $arcs     gaps from start to start
     *
     * @return self|null null when they already contradict each other
     */
    public static function root(Network $network, array $earliest, array $latest, array $arcs): ?self
    {
        $branch = new self($network, new Distances($network->size + 1));
        foreach ($arcs as [$from, $to, $gap]) {
            if (!$branch->distances->add($from + 1, $to + 1, $gap)) {
                return null;
            }
        }
        for ($i = 0; $i < $network->size; ++$i) {
            if (!$branch->startWithin($i, $earliest[$i], $latest[$i])) {
                return null;
            }
        }

        return $branch;
    }

    public function earliest(int $i): int
    {
        return $this->distances->between(self::ORIGIN, $i + 1);
    }

    public function latest(int $i): int
    {
        return -$this->distances->between($i + 1, self::ORIGIN);
    }

    /** @return bool false when nothing goes any more; so do all that change a branch */
    public function startWithin(int $i, int $earliest, int $latest): bool
    {
        return $this->distances->add(self::ORIGIN, $i + 1, $earliest) && $this->distances->add($i + 1, self::ORIGIN, -$latest);
    }

    public function mayPrecede(PoolUse $a, PoolUse $b, int $turnover): bool
    {
        if (null !== $a->last && null !== $b->first) {
            return $this->distances->allows($a->last + 1, $b->first + 1, $this->shortest[$a->last] + $turnover);
        }
        foreach ($a->members as $i) {
            foreach ($b->members as $j) {
                if (!$this->distances->allows($i + 1, $j + 1, $this->shortest[$i] + $turnover)) {
                    return false;
                }
            }
        }

        return true;
    }

    public function putBefore(PoolUse $a, PoolUse $b, int $turnover): bool
    {
        $known = null !== $a->last && null !== $b->first;
        foreach ($known ? [$a->last] : $a->members as $i) {
            foreach ($known ? [$b->first] : $b->members as $j) {
                if (!$this->distances->add((int) $i + 1, (int) $j + 1, $this->shortest[$i] + $turnover)) {
                    return false;
                }
            }
        }

        return true;
    }

    /** Whether both may be at one time, each with a resource of its own. */
    public function mayOverlap(PoolUse $a, PoolUse $b, int $turnover): bool
    {
        $options = array_unique([...$this->options[$a->choice], ...$this->options[$b->choice]]);
        if ($a->choice === $b->choice || \count($options) < $a->takes + $b->takes) {
            return false;
        }
        foreach ($this->overlapping($a, $b, $turnover) as [$from, $to, $gap]) {
            if (!$this->distances->allows($from, $to, $gap)) {
                return false;
            }
        }

        return true;
    }

    public function putTogether(PoolUse $a, PoolUse $b, int $turnover): bool
    {
        foreach ($this->overlapping($a, $b, $turnover) as [$from, $to, $gap]) {
            if (!$this->distances->add($from, $to, $gap)) {
                return false;
            }
        }

        return true;
    }

    /** @return list<array{int, int, int}> each starts before the other has ended and been washed */
    private function overlapping(PoolUse $a, PoolUse $b, int $turnover): array
    {
        $gaps = [];
        foreach ([[$a, $b], [$b, $a]] as [$one, $other]) {
            if (null !== $one->first && null !== $other->last) {
                $gaps[] = [$one->first + 1, $other->last + 1, 1 - $turnover - $this->network->longest[$other->last]];
            }
        }

        return $gaps;
    }

    /** One resource for a choice, with the minutes it takes there. */
    public function choose(int $choice, int $resource): bool
    {
        $n = $this->network;
        $this->options[$choice] = [$resource];
        for ($i = 0; $i < $n->size; ++$i) {
            foreach ($n->needs[$i] as [$of, , $own]) {
                if ($of === $choice && [] !== $own) {
                    $this->shortest[$i] = max($this->shortest[$i], $own[$resource] ?? $n->likely[$i]);
                }
            }
        }
        foreach ($n->links as [$from, $to, $min, $max, $fromEnd, $toEnd]) {
            if (
                !$toEnd && !$this->distances->add($from + 1, $to + 1, $min + ($fromEnd ? $this->shortest[$from] : 0))
                || null !== $max && !$fromEnd
                    && !$this->distances->add($to + 1, $from + 1, -$max + ($toEnd ? $this->shortest[$to] : 0))
            ) {
                return false;
            }
        }
        for ($i = 0; $i < $n->size; ++$i) {
            if (!$this->distances->add($i + 1, self::ORIGIN, $this->shortest[$i] - $n->latestEnd[$i])) {
                return false;
            }
        }

        return true;
    }

    /**
     * When an activity may start by the hours of what it chooses from.
     *
     * @param array<int, int> $own durations by resource
     *
     * @return list<array{int, int, int}> first and last start, resource; in order
     */
    public function stretches(int $i, int $choice, array $own): array
    {
        $n = $this->network;
        $earliest = $this->earliest($i);
        $latest = $this->latest($i);
        $found = [];
        foreach ($this->options[$choice] as $r) {
            $length = max($this->shortest[$i], [] === $own ? 0 : $own[$r] ?? $n->likely[$i]);
            foreach ($n->calendar[$r] as [$open, $close]) {
                $low = max($open, $earliest);
                $high = min($close - $length, $latest);
                if ($low <= $high) {
                    $found[] = [$low, $high, $r];
                }
            }
        }
        if (\count($found) > 1) {
            sort($found);
        }

        return $found;
    }

    /**
     * How a use lies in time.
     *
     * @return array{int, int, int, int, int, int} earliest start, latest start, earliest end, latest end, length at least, units
     */
    public function task(PoolUse $use): array
    {
        $earliest = $latest = \PHP_INT_MAX;
        $ends = $end = \PHP_INT_MIN;
        $length = 0;
        foreach ($use->members as $i) {
            $start = $this->earliest($i);
            $last = $this->latest($i);
            $earliest = min($earliest, $start);
            $latest = min($latest, $last);
            $ends = max($ends, $start + $this->shortest[$i]);
            $end = max($end, $last + $this->shortest[$i]);
            $length = max($length, $this->shortest[$i]);
        }
        if (null !== $use->first && null !== $use->last) {
            $length = $this->distances->between($use->first + 1, $use->last + 1) + $this->shortest[$use->last];
        }

        return [$earliest, $latest, $ends, $end, $length, $use->units * $use->takes];
    }
}
