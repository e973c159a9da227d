<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** Pairs of activities that can never overlap, as both must have a resource that serves only one of them at a time. */
final class DisjunctivePairs
{
    private const MOST = 20_000;

    /**
     * @return list<array{int, int, int}> two activities that both must have a resource which cannot serve both at once, and
     *     that resource
     */
    public static function of(Network $n): array
    {
        $forced = [];
        for ($i = 0; $i < $n->size; ++$i) {
            if (0 === $n->shortest[$i]) {
                continue;
            }
            foreach ($n->needs[$i] as [$choice, $units]) {
                if (\count($n->options[$choice]) === $n->takes[$choice]) {
                    foreach ($n->options[$choice] as $r) {
                        $forced[$r][$i] = ($forced[$r][$i] ?? 0) + $units;
                    }
                }
            }
        }
        $pairs = [];
        foreach ($forced as $r => $users) {
            $list = array_keys($users);
            foreach ($list as $x => $i) {
                for ($y = $x + 1, $count = \count($list); $y < $count; ++$y) {
                    $j = $list[$y];
                    if ($users[$i] + $users[$j] > $n->capacity[$r]) {
                        $pairs[] = [$i, $j, $r];
                    }
                }
            }
        }

        return \count($pairs) > self::MOST ? \array_slice($pairs, 0, self::MOST) : $pairs;
    }
}
