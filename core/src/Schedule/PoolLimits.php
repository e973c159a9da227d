<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * Whether a pool of resources has enough for all that must be had of it: at one moment (what overlaps two by two shares a moment, Helly)
 * and over every stretch of time (energetic reasoning, Erschler and Lopez 1990, with the hours in which the pool is there).
 */
final class PoolLimits
{
    /** Tests made so far. */
    public int $work = 0;

    /** @var list<int> uses that wanted too much where it did not suffice last */
    public array $culprits = [];

    /** @param array<string, int> $there what was found between two times of a pool, by its key and the times */
    public function __construct(private readonly Network $network, private array $there = [])
    {
    }

    /**
     * @param non-empty-list<int>          $pool    resources
     * @param array<int, PoolUse>          $uses    all that must choose within the pool
     * @param array<int, array<int, true>> $overlap by use: which others it overlaps for sure
     */
    public function areMetAtOnce(array $pool, array $uses, array $overlap): bool
    {
        $n = $this->network;
        $capacities = array_map(static fn (int $r): int => $n->capacity[$r], $pool);
        $all = array_sum($capacities);
        $most = max($capacities);
        $alike = $most === min($capacities);
        $this->work += \count($uses) * \count($uses);
        foreach (array_keys($uses) as $first) {
            $together = [$first];
            $units = $uses[$first]->units * $uses[$first]->takes;
            $whole = 2 * $uses[$first]->units > $most ? $uses[$first]->takes : 0;
            foreach ($overlap[$first] ?? [] as $u => $_) {
                if (!isset($uses[$u])) {
                    continue;
                }
                foreach ($together as $other) {
                    if ($other !== $first && !isset($overlap[$u][$other])) {
                        continue 2;
                    }
                }
                $together[] = $u;
                $units += $uses[$u]->units * $uses[$u]->takes;
                $whole += 2 * $uses[$u]->units > $most ? $uses[$u]->takes : 0;
            }
            if ($units > $all && $alike || $whole > \count($pool)) {
                $this->culprits = $together;

                return false;
            }
        }

        return true;
    }

    /**
     * @param list<int>                                       $pool  resources
     * @param array<int, array{int, int, int, int, int, int}> $tasks by use: earliest start, latest start, earliest end, latest end,
     *                                                               length at least, units
     */
    public function areMetOverTime(array $pool, array $tasks): bool
    {
        $froms = $tos = [];
        foreach ($tasks as [$earliest, $latest, $ends, $end]) {
            $froms[$earliest] = true;
            $froms[$latest] = true;
            $tos[$end] = true;
            $tos[$ends] = true;
        }
        $key = implode(' ', $pool);
        foreach (array_keys($froms) as $from) {
            $active = [];
            $most = 0;
            foreach ($tasks as [, $latest, $ends, , $length, $units]) {
                $after = min($length, $ends - $from);
                if ($after > 0) {
                    $active[] = [$latest, $after, $units];
                    $most += $units * $after;
                }
            }
            $this->work += \count($tasks);
            foreach (array_keys($tos) as $to) {
                $span = $to - $from;
                if ($span <= 0 || $most <= ($there = $this->there["$key $from $to"] ??= $this->unitMinutes($pool, $from, $to))) {
                    continue;
                }
                $this->work += \count($active);
                $wanted = 0;
                foreach ($active as [$latest, $after, $units]) {
                    if ($to > $latest) {
                        $wanted += $units * min($after, $span, $to - $latest);
                    }
                }
                if ($wanted > $there) {
                    $this->culprits = [];
                    foreach ($tasks as $u => [, $latest, $ends, , $length]) {
                        if (min($length, $ends - $from, $to - $latest) > 0) {
                            $this->culprits[] = $u;
                        }
                    }

                    return false;
                }
            }
        }

        return true;
    }

    /** @param list<int> $pool */
    private function unitMinutes(array $pool, int $from, int $to): int
    {
        $sum = 0;
        foreach ($pool as $r) {
            foreach ($this->network->calendar[$r] as [$open, $close]) {
                $sum += $this->network->capacity[$r] * max(0, min($to, $close) - max($from, $open));
            }
        }

        return $sum;
    }
}
