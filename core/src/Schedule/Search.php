<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

use Random\Randomizer;

/**
 * The neighbourhood of the solver: an order of groups (keys), latest starts that make room (caps), and where to begin
 * among options (rotation).
 *
 * @phpstan-type Order array{array<int, float>, array<int, int>, array<int, int>}
 */
final readonly class Search
{
    public function __construct(
        private Network $network,
        private Propagation $windows,
        private Groups $groups,
        private Decoder $decoder,
        private Randomizer $random,
    ) {
    }

    /**
     * One of a few sensible orders to begin with.
     *
     * @return Order
     */
    public function start(int $which): array
    {
        $keys = [];
        $activities = array_values($this->network->problem->activities);
        foreach ($this->groups->members as $g => $members) {
            $weight = 0;
            $work = 0;
            $latest = 0;
            foreach ($members as $i) {
                $weight = max($weight, $activities[$i]->due->early ?? 0);
                $work += $this->network->shortest[$i];
                $latest = max($latest, $this->windows->latest[$i]);
            }
            $keys[$g] = (float) match ($which) {
                0 => $weight * 1e6 + $latest,
                1 => $latest,
                2 => $work,
                default => -$work,
            };
        }

        return [$keys, [], []];
    }

    /**
     * @param Order $order
     *
     * @return Order
     */
    public function neighbour(array $order): array
    {
        [$keys, $caps, $rotation] = $order;
        $groups = \count($keys);
        $size = $this->network->size;
        $moves = 1 + ($this->random->getInt(0, 3) > 2 ? 1 : 0);
        while ($moves-- > 0) {
            $kind = $this->random->getInt(0, 9);
            if ($kind < 5 && $groups > 1) {
                $a = $this->random->getInt(0, $groups - 1);
                $b = $this->random->getInt(0, $groups - 1);
                [$keys[$a], $keys[$b]] = [$keys[$b], $keys[$a]];
            } elseif ($kind < 8) {
                $i = $this->random->getInt(0, $size - 1);
                if (isset($caps[$i]) && $this->random->getInt(0, 1) > 0) {
                    unset($caps[$i]);
                } else {
                    $start = $this->decoder->timeline->placed[$i] ? $this->decoder->timeline->start[$i] : $this->windows->latest[$i];
                    $caps[$i] = max($this->windows->earliest[$i], $start - $this->random->getInt(1, 40));
                }
            } elseif ($kind < 9) {
                $i = $this->random->getInt(0, $size - 1);
                $rotation[$i] = $this->random->getInt(0, 5);
            } elseif ([] !== $caps) {
                unset($caps[$this->random->pickArrayKeys($caps, 1)[0]]);
            }
        }

        return [$keys, $caps, $rotation];
    }

    /** Objective of what the decoder has just built. */
    public function cost(bool $mirroredMakespan): int
    {
        $timeline = $this->decoder->timeline;
        if ($mirroredMakespan) {
            return -min($timeline->start ?: [0]);
        }
        $cost = 0;
        foreach (array_values($this->network->problem->activities) as $i => $activity) {
            $cost += $activity->due?->cost($timeline->end[$i]) ?? 0;
        }
        $objective = $this->network->problem->objective;
        $of = $objective->spanOf ?? $this->network->ids;
        if ($objective->span > 0 && [] !== $of) {
            $first = \PHP_INT_MAX;
            $last = \PHP_INT_MIN;
            foreach ($of as $id) {
                $i = $this->network->indexOf[$id];
                $first = min($first, $timeline->start[$i]);
                $last = max($last, $timeline->end[$i]);
            }
            $cost += $objective->span * ($last - $first);
        }

        return $cost;
    }

    /** @return array{array<int, int>, array<int, int>, array<int, list<int>|null>} */
    public function snapshot(): array
    {
        return [$this->decoder->timeline->start, $this->decoder->timeline->end, $this->decoder->timeline->chosen];
    }
}
