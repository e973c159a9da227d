<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * Overload: what must happen within a window wants more of a set of resources than there is in it. Holds count with the
 * shortest they can be.
 */
final readonly class Overload
{
    public function __construct(private Network $network, private PathsFrom $paths)
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
        foreach ($this->tasks($earliest, $latest) as $key => $list) {
            $options = array_map(intval(...), explode(',', (string) $key));
            foreach (array_unique(array_column($list, 0)) as $from) {
                foreach (array_unique(array_column($list, 1)) as $to) {
                    $wanted = 0;
                    $inside = [];
                    foreach ($list as [$start, $end, $energy, $ids]) {
                        if ($start >= $from && $end <= $to) {
                            $wanted += $energy;
                            array_push($inside, ...$ids);
                        }
                    }
                    $there = 0;
                    foreach ($options as $r) {
                        foreach ($n->calendar[$r] as [$open, $close]) {
                            $there += $n->capacity[$r] * max(0, min($to, $close) - max($from, $open));
                        }
                    }
                    if ($wanted > $there) {
                        return [
                            new Conflict(
                                ConflictKind::Resource,
                                \sprintf('between %d and %d these need %d unit-minutes where there are %d', $from, $to, $wanted, $there),
                                array_values(array_unique($inside)),
                                array_map(static fn (int $r): string => $n->resourceIds[$r], $options),
                            ),
                        ];
                    }
                }
            }
        }

        return [];
    }

    /**
     * By the resources to choose from: earliest start, latest end, unit-minutes at least, and whose they are. What an activity
     * takes within a hold on the same resources is the hold's.
     *
     * @param array<int, int> $earliest
     * @param array<int, int> $latest
     *
     * @return array<string, list<array{int, int, int, list<string>}>>
     */
    private function tasks(array $earliest, array $latest): array
    {
        $n = $this->network;
        $tasks = [];
        $held = [];
        foreach ($n->holdNeeds as $h => $needs) {
            $members = $n->holdMembers[$h];
            $length = 0;
            foreach ([] === $needs ? [] : $members as $i) {
                $path = $this->paths->of($i);
                foreach ($members as $j) {
                    $length = max($length, isset($path[$j]) ? $path[$j] + $n->shortest[$j] : 0);
                }
            }
            $from = min([\PHP_INT_MAX, ...array_map(static fn (int $i): int => $earliest[$i], $members)]);
            $to = max([\PHP_INT_MIN, ...array_map(static fn (int $i): int => $latest[$i] + $n->shortest[$i], $members)]);
            foreach ($needs as [$choice, $units]) {
                $options = $n->options[$choice];
                sort($options);
                $tasks[implode(',', $options)][] = [
                    $from,
                    $to,
                    $units * $n->takes[$choice] * $length,
                    array_map(static fn (int $i): string => $n->ids[$i], $members),
                ];
                foreach ($members as $i) {
                    foreach ($options as $r) {
                        $held[$i][$r] = true;
                    }
                }
            }
        }
        for ($i = 0; $i < $n->size; ++$i) {
            foreach ($n->needs[$i] as [$choice, $units]) {
                $options = $n->options[$choice];
                sort($options);
                if ([] === array_intersect_key($held[$i] ?? [], array_flip($options))) {
                    $tasks[implode(',', $options)][] = [
                        $earliest[$i],
                        $latest[$i] + $n->shortest[$i],
                        $units * $n->takes[$choice] * $n->shortest[$i],
                        [$n->ids[$i]],
                    ];
                }
            }
        }

        return $tasks;
    }
}
