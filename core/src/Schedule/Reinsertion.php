<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

use Random\Randomizer;

/**
 * Improves a schedule by taking a few groups out and placing them anew in another order: large neighbourhood search after
 * Shaw (1998), with groups that stand in each other's way taken together.
 */
final readonly class Reinsertion
{
    private const MOST_TOGETHER = 6;

    private const MOST_WITH_PREDECESSORS = 24;

    /** Latest starts are pulled forward by at most 10, 20, 40 ... times two to the power of this, to make room for others. */
    private const PULLS = 4;

    private const DRAWS = 4;

    /** A move may be as dear as the schedule was so many moves ago (late acceptance, Burke and Bykov 2017). */
    private const MEMORY = 60;

    /** Moves for each group without a better schedule, after which worse ones are accepted again. */
    private const PATIENCE = 8;

    /** How much worse, as a multiple of what a group costs above the bound; doubled each time up to the most. */
    private const HEAT = 1;

    private const MOST_HEAT = 16;

    public function __construct(
        private Network $network,
        private Groups $groups,
        private Neighbours $neighbours,
        private Decoder $decoder,
        private Cost $cost,
        private Randomizer $random,
    ) {
    }

    /**
     * @param int $iterations made so far
     *
     * @return array{array{array<int, int>, array<int, int>, array<int, list<int>|null>}, int, int} starts, ends and choices
     *     of the best, its objective, iterations
     */
    public function improve(int $bound, Budget $budget, int $iterations): array
    {
        $timeline = $this->decoder->timeline;
        $current = $bestCost = $this->cost->withMoves();
        $best = [$timeline->start, $timeline->end, $timeline->chosen];
        $objective = $this->cost->now();
        $late = $this->cost->isLate();
        $accepted = array_fill(0, self::MEMORY, $current);
        $improved = $iterations;
        $heat = self::HEAT;
        $count = \count($this->groups->members);
        while (
            $bestCost > $bound
            && $iterations < $budget->iterations
            && ($timeline->work < $budget->work || ($late && $timeline->work < $budget->patientWork()))
        ) {
            ++$iterations;
            $current = $this->step(max($current, $accepted[$iterations % self::MEMORY])) ?? $current;
            $accepted[$iterations % self::MEMORY] = $current;
            if ($current < $bestCost) {
                $bestCost = $current;
                $objective = $this->cost->now();
                $late = $this->cost->isLate();
                $best = [$timeline->start, $timeline->end, $timeline->chosen];
                $improved = $iterations;
                $heat = self::HEAT;
            } elseif ($iterations - $improved > self::PATIENCE * $count) {
                $accepted = array_fill(0, self::MEMORY, $bestCost + 1 + (int) (($heat * ($bestCost - $bound)) / $count));
                $improved = $iterations;
                $heat = min(2 * $heat, self::MOST_HEAT);
            }
        }

        return [$best, $objective, $iterations];
    }

    /**
     * One move: kept when its cost is at most $ceiling, else everything stands as before.
     *
     * @return int|null the new cost; null when nothing was changed
     */
    private function step(int $ceiling): ?int
    {
        $taken = $this->pick();
        $timeline = $this->decoder->timeline;
        $lifted = [];
        foreach ($taken as $g) {
            $lifted[] = $timeline->lift($this->groups->members[$g]);
        }
        [$caps, $rotation] = $this->changes($taken, $lifted);
        $placed = [];
        foreach ($this->order($taken) as $g) {
            // A little late is sometimes cheaper than much too early.
            $late =
                $this->cost->mayPayLate($this->groups->members[$g]) && 0 === $this->random->getInt(0, 5)
                    ? $this->random->getInt(1, 1 << $this->random->getInt(0, self::PULLS))
                    : 0;
            if (!$this->decoder->insert($g, $caps, $rotation, $late)) {
                break;
            }
            $placed[] = $g;
        }
        if (\count($placed) === \count($taken)) {
            $cost = $this->cost->withMoves();
            if ($cost <= $ceiling) {
                return $cost;
            }
        }
        foreach ($placed as $g) {
            $timeline->remove($this->groups->members[$g]);
        }
        foreach (array_reverse($lifted) as $group) {
            $timeline->putBack($group);
        }

        return null;
    }

    /** @return non-empty-list<int> groups to take out: a dear one more often, and some of those around it */
    private function pick(): array
    {
        $count = \count($this->groups->members);
        $first = $this->random->getInt(0, $count - 1);
        $dearest = -1;
        for ($draw = 0; $draw < 3; ++$draw) {
            $g = $this->random->getInt(0, $count - 1);
            $cost = $this->cost->of($this->groups->members[$g]);
            if ($cost > $dearest) {
                $dearest = $cost;
                $first = $g;
            }
        }
        $taken = [$first => $first];
        $wanted = min($count, $this->random->getInt(1, $this->random->getInt(2, self::MOST_TOGETHER)));
        while (\count($taken) < $wanted) {
            $from = $taken[$this->random->pickArrayKeys($taken, 1)[0]] ?? $first;
            $near = $this->neighbours->of[$from];
            $g = [] === $near || 0 === $this->random->getInt(0, 4) ? $this->random->getInt(0, $count - 1) : $this->nearInTime($from, $near);
            $taken[$g] = $g;
        }

        // What leads up to them comes along, so that they may go anywhere.
        if ($this->random->getInt(0, 3) > 0) {
            for ($open = $taken; [] !== $open && \count($taken) < self::MOST_WITH_PREDECESSORS;) {
                foreach ($this->neighbours->before[array_pop($open)] as $g) {
                    if (!isset($taken[$g])) {
                        $taken[$g] = $open[$g] = $g;
                    }
                }
            }
        }

        return array_values($taken);
    }

    /**
     * @param non-empty-list<int> $taken
     *
     * @return list<int> in any order, but what follows before what leads up to it
     */
    private function order(array $taken): array
    {
        $taken = $this->random->shuffleArray($taken);
        $in = array_flip($taken);
        $order = [];
        $visit = function (int $g) use (&$visit, &$order, &$in): void {
            if (!isset($in[$g])) {
                return;
            }
            unset($in[$g]);
            foreach ($this->groups->successors[$g] as $next) {
                $visit($next);
            }
            $order[] = $g;
        };
        foreach ($taken as $g) {
            $visit($g);
        }

        return $order;
    }

    /** @param non-empty-list<int> $near */
    private function nearInTime(int $group, array $near): int
    {
        $start = $this->decoder->timeline->start;
        $at = $start[$this->groups->members[$group][0]];
        $best = $near[0];
        $nearest = \PHP_INT_MAX;
        for ($draw = 0; $draw < self::DRAWS; ++$draw) {
            $g = $near[$this->random->getInt(0, \count($near) - 1)];
            $away = abs($start[$this->groups->members[$g][0]] - $at);
            if ($away < $nearest) {
                $nearest = $away;
                $best = $g;
            }
        }

        return $best;
    }

    /**
     * Latest starts and beginnings among options that differ from the usual ones.
     *
     * @param non-empty-list<int>                                     $taken
     * @param list<list<array{int, int, int, array<int, list<int>>}>> $lifted
     *
     * @return array{array<int, int>, array<int, int>} by activity
     */
    private function changes(array $taken, array $lifted): array
    {
        $caps = $rotation = [];
        for ($pulls = $this->random->getInt(0, 3); $pulls > 0; --$pulls) {
            $group = $lifted[$this->random->getInt(0, \count($lifted) - 1)];
            [$i, $start] = $group[$this->random->getInt(0, \count($group) - 1)];
            $caps[$i] = max(
                $this->network->earliestStart[$i],
                $start + 10 - $this->random->getInt(0, 10 << $this->random->getInt(0, self::PULLS)),
            );
        }
        if (0 === $this->random->getInt(0, 2)) {
            $members = $this->groups->members[$taken[$this->random->getInt(0, \count($taken) - 1)]];
            $rotation[$members[$this->random->getInt(0, \count($members) - 1)]] = $this->random->getInt(1, 5);
        }

        return [$caps, $rotation];
    }
}
