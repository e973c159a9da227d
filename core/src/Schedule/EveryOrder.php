<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * Proves by trying everything that a small problem has no schedule: every choice of resources and, of each two that then
 * exclude each other, either order; each branch closed by longest paths. What it leaves out (calendars, more than two at
 * one shared resource) only makes it prove less, never wrongly.
 */
final class EveryOrder
{
    /** Above this many activities a proof would take too long. */
    public const MOST_ACTIVITIES = 16;

    private const MOST_BRANCHES = 4000;

    private int $branches = 0;

    /** @var list<array{int, list<int>, int}> uses in turn: choice, activities that are in it, units; a hold is one use of many */
    private array $uses = [];

    public function __construct(private readonly Network $network)
    {
        $n = $network;
        for ($i = 0; $i < $n->size; ++$i) {
            foreach ($n->shortest[$i] > 0 ? $n->needs[$i] : [] as [$choice, $units]) {
                $this->uses[] = [$choice, [$i], $units];
            }
        }
        foreach ($n->holdNeeds as $h => $needs) {
            foreach ($needs as [$choice, $units]) {
                if (array_sum(array_map(static fn (int $i): int => $n->shortest[$i], $n->holdMembers[$h])) > 0) {
                    $this->uses[] = [$choice, $n->holdMembers[$h], $units];
                }
            }
        }
    }

    /**
     * @param array<int, int>                 $earliest start by activity
     * @param array<int, int>                 $latest   start by activity
     * @param list<array{int, int, int, int}> $arcs
     */
    public function isImpossible(array $earliest, array $latest, array $arcs): bool
    {
        if ($this->network->size > self::MOST_ACTIVITIES) {
            return false;
        }
        $this->branches = 0;

        return $this->closed(0, [], [], array_map(static fn (array $a): array => [$a[0], $a[1], $a[2]], $arcs), $earliest, $latest);
    }

    /**
     * Whether no schedule is left below this branch.
     *
     * @param array<int, int>            $chosen   resource by choice
     * @param list<array{int, int}>      $pairs    uses still to be ordered
     * @param list<array{int, int, int}> $arcs
     * @param array<int, int>            $earliest
     * @param array<int, int>            $latest
     */
    private function closed(int $next, array $chosen, array $pairs, array $arcs, array $earliest, array $latest): bool
    {
        if (++$this->branches > self::MOST_BRANCHES) {
            return false;
        }
        $earliest = $this->tightened($arcs, $earliest, $latest);
        if (null === $earliest) {
            return true;
        }
        if ([] !== $pairs) {
            [$a, $b] = array_pop($pairs);

            return $this->closed($next, $chosen, $pairs, [...$arcs, ...$this->before($a, $b, $chosen)], $earliest, $latest)
                && $this->closed($next, $chosen, $pairs, [...$arcs, ...$this->before($b, $a, $chosen)], $earliest, $latest);
        }
        if (!isset($this->uses[$next])) {
            return false;
        }
        $choice = $this->uses[$next][0];
        if (1 !== $this->network->takes[$choice]) {
            // What takes several is left out: that can only make room.
            return $this->closed($next + 1, $chosen, [], $arcs, $earliest, $latest);
        }
        foreach (isset($chosen[$choice]) ? [$chosen[$choice]] : $this->network->options[$choice] as $r) {
            $with = [$choice => $r] + $chosen;
            if (!$this->closed($next + 1, $with, $this->exclusive($next, $with), $arcs, $earliest, $latest)) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param array<int, int> $chosen
     *
     * @return list<array{int, int}> earlier uses of the same resource that can't be at the same time
     */
    private function exclusive(int $use, array $chosen): array
    {
        [$choice, $members, $units] = $this->uses[$use];
        $r = $chosen[$choice];
        $pairs = [];
        for ($other = 0; $other < $use; ++$other) {
            [$otherChoice, $otherMembers, $otherUnits] = $this->uses[$other];
            if (
                ($chosen[$otherChoice] ?? null) === $r
                && $units + $otherUnits > $this->network->capacity[$r]
                && [] === array_intersect($members, $otherMembers)
            ) {
                $pairs[] = [$other, $use];
            }
        }

        return $pairs;
    }

    /**
     * @param array<int, int> $chosen
     *
     * @return list<array{int, int, int}> arcs that put all of one use before all of another
     */
    private function before(int $a, int $b, array $chosen): array
    {
        // Between a hold's own activities nothing is washed.
        $together = array_intersect($this->holdsOf($a), $this->holdsOf($b));
        $turnover = [] === $together ? $this->network->turnover[$chosen[$this->uses[$a][0]]] : 0;
        $arcs = [];
        foreach ($this->uses[$a][1] as $i) {
            foreach ($this->uses[$b][1] as $j) {
                $arcs[] = [$i, $j, $this->network->shortest[$i] + $turnover];
            }
        }

        return $arcs;
    }

    /** @return list<int> */
    private function holdsOf(int $use): array
    {
        return array_merge(...array_map(fn (int $i): array => $this->network->holdsOf[$i], $this->uses[$use][1]));
    }

    /**
     * @param list<array{int, int, int}> $arcs
     * @param array<int, int>            $earliest
     * @param array<int, int>            $latest
     *
     * @return array<int, int>|null earliest starts; null when one comes after its latest
     */
    private function tightened(array $arcs, array $earliest, array $latest): ?array
    {
        do {
            $moved = false;
            foreach ($arcs as [$from, $to, $weight]) {
                if ($earliest[$from] + $weight > $earliest[$to]) {
                    $earliest[$to] = $earliest[$from] + $weight;
                    if ($earliest[$to] > $latest[$to]) {
                        return null;
                    }
                    $moved = true;
                }
            }
        } while ($moved);

        return $earliest;
    }
}
