<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * More holds at one time than there is to hold: holds of which each two are sure to overlap share one moment (Helly), so they
 * need a resource each. Two overlap for sure when links put a start of each before an end of the other.
 */
final readonly class HeldTogether
{
    public function __construct(private Network $network, private PathsFrom $paths)
    {
    }

    /** @return list<Conflict> one, or none */
    public function find(): array
    {
        $n = $this->network;
        $wants = [];
        foreach ($n->holdNeeds as $h => $needs) {
            foreach ($needs as [$choice, $units]) {
                $options = $n->options[$choice];
                if ([] !== $options && 2 * $units > max(array_map(static fn (int $r): int => $n->capacity[$r], $options))) {
                    sort($options);
                    $wants[implode(' ', $options)][$h] = $n->takes[$choice];
                }
            }
        }
        foreach ($wants as $key => $takes) {
            $resources = array_map(intval(...), explode(' ', (string) $key));
            if (array_sum($takes) <= \count($resources)) {
                continue;
            }
            foreach (array_keys($takes) as $first) {
                $together = [$first];
                $wanted = $takes[$first];
                foreach ($takes as $h => $count) {
                    foreach ($together as $other) {
                        if ($h === $other || !$this->startsBeforeEnd($h, $other) || !$this->startsBeforeEnd($other, $h)) {
                            continue 2;
                        }
                    }
                    $together[] = $h;
                    $wanted += $count;
                }
                if ($wanted > \count($resources)) {
                    return [
                        new Conflict(
                            ConflictKind::Hold,
                            \sprintf(
                                '%s are held at the same time and need %d where there are %d',
                                implode(', ', array_map(static fn (int $h): string => $n->holdIds[$h], $together)),
                                $wanted,
                                \count($resources),
                            ),
                            array_values(
                                array_unique(
                                    array_map(
                                        static fn (int $i): string => $n->ids[$i],
                                        array_merge(...array_map(static fn (int $h): array => $n->holdMembers[$h], $together)),
                                    ),
                                ),
                            ),
                            array_map(static fn (int $r): string => $n->resourceIds[$r], $resources),
                        ),
                    ];
                }
            }
        }

        return [];
    }

    private function startsBeforeEnd(int $a, int $b): bool
    {
        foreach ($this->network->holdMembers[$a] as $i) {
            $later = $this->paths->of($i);
            foreach ($this->network->holdMembers[$b] as $j) {
                if (isset($later[$j]) && $later[$j] + $this->network->shortest[$j] > 0) {
                    return true;
                }
            }
        }

        return false;
    }
}
