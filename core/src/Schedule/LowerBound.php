<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** What no schedule can be better than. */
final readonly class LowerBound
{
    public function __construct(private Network $network)
    {
    }

    /** A lower bound of the objective that every schedule respects. */
    public function of(Propagation $windows): int
    {
        $n = $this->network;
        if (0 === $n->size) {
            return 0;
        }
        $objective = $n->problem->objective;
        if ($objective->makespan) {
            return $this->makespan($windows);
        }
        $each = [];
        $dues = [];
        foreach (array_values($n->problem->activities) as $i => $activity) {
            if (null !== $activity->due) {
                $soonest = $windows->earliest[$i] + $n->shortest[$i];
                $last = min($n->latestEnd[$i], $windows->latest[$i] + $n->longest[$i]);
                $dues[$i] = $activity->due;
                $each[$i] = match (true) {
                    $soonest > $activity->due->at => $activity->due->cost($soonest),
                    $last < $activity->due->at => $activity->due->cost($last),
                    default => 0,
                };
            }
        }
        $bound = 0;
        foreach (CommonDue::sets($n) as [$together, $machines]) {
            $alone = 0;
            $jobs = [];
            foreach ($together as $i) {
                $alone += $each[$i];
                unset($each[$i]);
                $jobs[] = [$n->shortest[$i], $dues[$i]->early, $dues[$i]->late];
            }
            $bound += max($alone, CommonDue::bound($jobs, $machines));
        }
        $bound += array_sum($each);
        if ($objective->span > 0) {
            $longest = 0;
            foreach ($objective->spanOf ?? $n->ids as $id) {
                $longest = max($longest, $n->shortest[$n->indexOf[$id]]);
            }
            if ($n->size <= Propagation::ALL_PAIRS_LIMIT) {
                $distance = LongestPaths::between($n->size, $windows->arcs);
                foreach ($objective->spanOf ?? $n->ids as $from) {
                    foreach ($objective->spanOf ?? $n->ids as $to) {
                        $path = $distance[$n->indexOf[$from]][$n->indexOf[$to]];
                        $longest = LongestPaths::NEVER === $path ? $longest : max($longest, $path + $n->shortest[$n->indexOf[$to]]);
                    }
                }
            }
            $bound += $objective->span * $longest;
        }

        return $bound;
    }

    /** Longest path, and for each resource of capacity one: first head + all that it must do + least tail. */
    private function makespan(Propagation $windows): int
    {
        $n = $this->network;
        $tail = $n->shortest;
        for ($round = 0; $round <= $n->size; ++$round) {
            $moved = false;
            foreach ($windows->arcs as [$from, $to, $weight]) {
                if ($weight + $tail[$to] > $tail[$from]) {
                    $tail[$from] = $weight + $tail[$to];
                    $moved = true;
                }
            }
            if (!$moved) {
                break;
            }
        }
        $bound = 0;
        $must = [];
        for ($i = 0; $i < $n->size; ++$i) {
            $bound = max($bound, $windows->earliest[$i] + $tail[$i]);
            foreach ($n->needs[$i] as [$choice]) {
                if (\count($n->options[$choice]) === $n->takes[$choice]) {
                    foreach ($n->options[$choice] as $r) {
                        if (1 === $n->capacity[$r]) {
                            $must[$r][$i] = true;
                        }
                    }
                }
            }
        }
        foreach ($must as $users) {
            $head = \PHP_INT_MAX;
            $least = \PHP_INT_MAX;
            $work = 0;
            foreach (array_keys($users) as $i) {
                $head = min($head, $windows->earliest[$i]);
                $least = min($least, $tail[$i] - $n->shortest[$i]);
                $work += $n->shortest[$i];
            }
            $bound = max($bound, $head + $work + $least);
        }

        return $bound;
    }
}
