<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** Overload: what must happen within a window wants more of a set of resources than there is in it. */
final readonly class Overload
{
    public function __construct(private Network $network)
    {
    }

    /**
     * @param array<int, int> $earliest start by activity
     * @param array<int, int> $latest   start by activity
     *
     * @return list<Conflict> one, or none
     */
    public function find(array $earliest, array $latest): array
    {
        $n = $this->network;
        $users = [];
        for ($i = 0; $i < $n->size; ++$i) {
            foreach ($n->needs[$i] as [$choice, $units]) {
                $options = $n->options[$choice];
                sort($options);
                $users[implode(',', $options)][] = [$i, $units * $n->takes[$choice] * $n->shortest[$i], $options];
            }
        }
        foreach ($users as $list) {
            $options = $list[0][2];
            foreach ($list as [$a]) {
                $from = $earliest[$a];
                foreach ($list as [$b]) {
                    $to = $latest[$b] + $n->shortest[$b];
                    $wanted = 0;
                    $inside = [];
                    foreach ($list as [$i, $energy]) {
                        if ($earliest[$i] >= $from && $latest[$i] + $n->shortest[$i] <= $to) {
                            $wanted += $energy;
                            $inside[] = $n->ids[$i];
                        }
                    }
                    $there = 0;
                    foreach ($options as $r) {
                        foreach ($n->calendar[$r] as [$open, $close]) {
                            $there += $n->capacity[$r] * max(0, min($to, $close) - max($from, $open));
                        }
                    }
                    if ($wanted > $there) {
                        return [new Conflict('resource', \sprintf('between %d and %d these need %d unit-minutes where there are %d', $from, $to, $wanted, $there), $inside, array_map(static fn (int $r): string => $n->resourceIds[$r], $options))];
                    }
                }
            }
        }

        return [];
    }
}
