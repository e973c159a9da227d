<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * Activities that are best placed together: tied by a tight longest gap, directly or through others, or waiting for each
 * other in a circle of such groups. Between groups there is "not before", holds and loose gaps, so they can be placed one
 * by one and seldom have to be pushed.
 */
final readonly class Groups
{
    /** A gap is tight when it is at most this many times as long as the two activities it ties. */
    private const TIGHT = 3;

    /** The same where groups became too large to find a place. */
    private const TIGHTER = 1;

    /**
     * @param list<list<int>> $members    activities by group
     * @param list<int>       $groupOf    group by activity
     * @param list<list<int>> $successors groups that start after a group, by group
     */
    private function __construct(public array $members, public array $groupOf, public array $successors)
    {
    }

    public static function of(Network $network): self
    {
        return self::tiedWithin($network, self::TIGHT);
    }

    /** Smaller ones, which find a place sooner among many others, but more often have to be pushed. */
    public static function small(Network $network): self
    {
        return self::tiedWithin($network, self::TIGHTER);
    }

    private static function tiedWithin(Network $network, int $times): self
    {
        $parent = range(0, max(0, $network->size - 1));
        foreach ($network->links as [$from, $to, , $max]) {
            if (null !== $max && $max <= $times * ($network->longest[$from] + $network->longest[$to])) {
                self::unite($parent, $from, $to);
            }
        }
        self::uniteCircles($network, $parent);
        $number = [];
        $members = [];
        $groupOf = [];
        for ($i = 0; $i < $network->size; ++$i) {
            $root = self::root($parent, $i);
            $number[$root] ??= \count($number);
            $groupOf[] = $number[$root];
            $members[$number[$root]][] = $i;
        }
        $successors = array_fill(0, \count($members), []);
        foreach ($network->links as [$from, $to]) {
            if ($groupOf[$from] !== $groupOf[$to]) {
                $successors[$groupOf[$from]][$groupOf[$to]] = $groupOf[$to];
            }
        }

        return new self(array_values($members), $groupOf, array_map(array_values(...), $successors));
    }

    /**
     * Strongly connected components of the groups, after Kosaraju.
     *
     * @param array<int, int> $parent
     */
    private static function uniteCircles(Network $network, array &$parent): void
    {
        $forth = [];
        $back = [];
        foreach ($network->links as [$from, $to]) {
            $a = self::root($parent, $from);
            $b = self::root($parent, $to);
            if ($a !== $b) {
                $forth[$a][] = $b;
                $back[$b][] = $a;
            }
        }
        $seen = [];
        $finished = [];
        foreach (array_keys($forth) as $start) {
            // An explicit stack: a chain of thousands must not exhaust the call stack.
            $stack = [[$start, 0]];
            if (isset($seen[$start])) {
                continue;
            }
            $seen[$start] = true;
            while ([] !== $stack) {
                [$at, $next] = array_pop($stack);
                if (isset($forth[$at][$next])) {
                    $stack[] = [$at, $next + 1];
                    $to = $forth[$at][$next];
                    if (!isset($seen[$to])) {
                        $seen[$to] = true;
                        $stack[] = [$to, 0];
                    }
                } else {
                    $finished[] = $at;
                }
            }
        }
        $assigned = [];
        foreach (array_reverse($finished) as $start) {
            $stack = [$start];
            while ([] !== $stack) {
                $at = array_pop($stack);
                if (isset($assigned[$at])) {
                    continue;
                }
                $assigned[$at] = true;
                self::unite($parent, $start, $at);
                foreach ($back[$at] ?? [] as $to) {
                    if (!isset($assigned[$to])) {
                        $stack[] = $to;
                    }
                }
            }
        }
    }

    /** @param array<int, int> $parent */
    private static function root(array &$parent, int $i): int
    {
        while ($parent[$i] !== $i) {
            $parent[$i] = $parent[$parent[$i]];
            $i = $parent[$i];
        }

        return $i;
    }

    /** @param array<int, int> $parent */
    private static function unite(array &$parent, int $a, int $b): void
    {
        $parent[self::root($parent, $a)] = self::root($parent, $b);
    }
}
