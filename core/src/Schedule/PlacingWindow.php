<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * Where an activity may lie while its group is being placed: what propagation allows, its due time and what it may slip, links to what
 * stands already, and the longest paths to placed members of its own group.
 */
final class PlacingWindow
{
    /** Groups above this size are placed by their direct links alone. */
    private const LARGEST_MATRIX = 160;

    /** @var list<int|null> due end by activity */
    public readonly array $dueAt;

    /**
     * @var array<int, array<int, array<int, int>>|null> by group: longest start-to-start path between members, by their position in
     *     the group
     */
    public readonly array $distance;

    /** @var array<int, int> position of an activity in its group */
    private readonly array $position;

    public function __construct(
        private readonly Network $network,
        private readonly Propagation $windows,
        private readonly Groups $groups,
        private readonly Timeline $timeline,
    ) {
        $dueAt = $position = $distance = [];
        foreach (array_values($network->problem->activities) as $activity) {
            $dueAt[] = $activity->due?->at;
            $position[] = 0;
        }
        foreach ($groups->members as $members) {
            foreach ($members as $p => $i) {
                $position[$i] = $p;
            }
        }
        $this->dueAt = $dueAt;
        $this->position = $position;
        $arcs = $this->arcsWithin();
        foreach ($groups->members as $g => $members) {
            $distance[$g] = \count($members) <= self::LARGEST_MATRIX ? LongestPaths::between(\count($members), $arcs[$g] ?? []) : null;
        }
        $this->distance = $distance;
    }

    /**
     * @param array<int, int> $latest
     *
     * @return array{int, int, int, int, int} lowest and highest start, lowest and highest end; the placed activity that bound it from
     *     below, or −1
     */
    public function of(int $i, int $g, array $latest, int $late): array
    {
        $n = $this->network;
        $timeline = $this->timeline;
        $lowStart = $this->windows->earliest[$i];
        $highStart = $this->windows->latest[$i];
        if (isset($latest[$i]) && $latest[$i] < $highStart) {
            $highStart = $latest[$i];
        }
        $lowEnd = LongestPaths::NEVER;
        $highEnd = $n->latestEnd[$i];
        if (null !== $this->dueAt[$i] && $this->dueAt[$i] + $late < $highEnd) {
            $highEnd = $this->dueAt[$i] + $late;
        }
        $boundBy = -1;
        foreach ($n->linksOf[$i] as $index) {
            [$from, $to, $min, $max, $fromEnd, $toEnd] = $n->links[$index];
            if ($from === $i && $timeline->placed[$to] && $to !== $i) {
                $reference = $toEnd ? $timeline->end[$to] : $timeline->start[$to];
                if ($fromEnd) {
                    $highEnd = min($highEnd, $reference - $min);
                    if (null !== $max && $reference - $max > $lowEnd) {
                        $lowEnd = $reference - $max;
                        $boundBy = $to;
                    }
                } else {
                    $highStart = min($highStart, $reference - $min);
                    if (null !== $max && $reference - $max > $lowStart) {
                        $lowStart = $reference - $max;
                        $boundBy = $to;
                    }
                }
            } elseif ($to === $i && $timeline->placed[$from] && $from !== $i) {
                $reference = $fromEnd ? $timeline->end[$from] : $timeline->start[$from];
                if ($toEnd) {
                    if ($reference + $min > $lowEnd) {
                        $lowEnd = $reference + $min;
                        $boundBy = $from;
                    }
                    $highEnd = null === $max ? $highEnd : min($highEnd, $reference + $max);
                } else {
                    if ($reference + $min > $lowStart) {
                        $lowStart = $reference + $min;
                        $boundBy = $from;
                    }
                    $highStart = null === $max ? $highStart : min($highStart, $reference + $max);
                }
            }
        }
        $matrix = $this->distance[$g];
        if (null !== $matrix) {
            $p = $this->position[$i];
            foreach ($this->groups->members[$g] as $q => $j) {
                if (!$timeline->placed[$j]) {
                    continue;
                }
                $start = $timeline->start[$j];
                if ($matrix[$q][$p] > LongestPaths::NEVER && $start + $matrix[$q][$p] > $lowStart) {
                    $lowStart = $start + $matrix[$q][$p];
                    $boundBy = $j;
                }
                if ($matrix[$p][$q] > LongestPaths::NEVER && $start - $matrix[$p][$q] < $highStart) {
                    $highStart = $start - $matrix[$p][$q];
                }
            }
        }

        return [$lowStart, $highStart, $lowEnd, $highEnd, $boundBy];
    }

    /** @return array<int, list<array{int, int, int}>> arcs inside a group, between positions in it, by group */
    private function arcsWithin(): array
    {
        $within = [];
        foreach ($this->network->arcs() as [$from, $to, $weight]) {
            $g = $this->groups->groupOf[$from];
            if ($this->groups->groupOf[$to] === $g) {
                $within[$g][] = [$this->position[$from], $this->position[$to], $weight];
            }
        }

        return $within;
    }
}
