<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** Shortest gaps that go round in a circle and add up to more than nothing: each would have to come after itself. */
final class MinCycle
{
    /**
     * @param array<string, Activity> $activities
     * @param list<Link>              $links
     *
     * @return list<int> indexes of the links of one such circle, in order; empty when there is none
     */
    public static function find(array $activities, array $links): array
    {
        $arcs = [];
        foreach ($links as $index => $link) {
            if (isset($activities[$link->from], $activities[$link->to])) {
                $arcs[] = [
                    $link->from,
                    $link->to,
                    $link->min +
                    ($link->type->fromEnd() ? self::lengths($activities[$link->from])[0] : 0) -
                    ($link->type->toEnd() ? self::lengths($activities[$link->to])[1] : 0),
                    $index,
                ];
            }
        }
        $longest = array_fill_keys(array_keys($activities), 0);
        $by = [];
        $moved = null;
        for ($round = 0; $round <= \count($activities); ++$round) {
            $moved = null;
            foreach ($arcs as [$from, $to, $weight, $index]) {
                if ($longest[$from] + $weight > $longest[$to]) {
                    $longest[$to] = $longest[$from] + $weight;
                    $by[$to] = [$from, $index];
                    $moved = $to;
                }
            }
            if (null === $moved) {
                return [];
            }
        }
        // Far enough back, whoever is still moved stands on the circle.
        for ($step = 0; $step < \count($activities); ++$step) {
            $moved = $by[$moved][0];
        }
        $circle = [];
        $at = $moved;
        do {
            [$at, $index] = $by[$at];
            array_unshift($circle, $index);
        } while ($at !== $moved);

        return $circle;
    }

    /** @return array{int, int} the shortest and the longest it may take, whatever is chosen */
    private static function lengths(Activity $activity): array
    {
        $own = array_merge(
            [$activity->duration->likely],
            ...array_map(static fn (Need $n): array => array_values($n->durations), $activity->needs),
        );

        return [min($own), max($own)];
    }
}
