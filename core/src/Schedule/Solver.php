<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Finds a schedule: propagation first, for windows, a bound and proofs of infeasibility; then schedules built backwards
 * by the Decoder under changing orders (iterated local search with a threshold), until the budget or the bound ends it.
 */
final class Solver
{
    /** Worse by this share is still accepted as a place to go on from, early in the search. */
    private const THRESHOLD = 0.06;

    /** Orders that are tried at once before the search begins. */
    private const STARTS = 4;

    public function solve(Problem $problem, Budget $budget, int $seed = 1): Solution
    {
        $forward = new Network($problem);
        $propagation = new Propagation($forward);
        if ([] !== $propagation->conflicts) {
            return Solution::none(SolutionStatus::Infeasible, $seed, $propagation->conflicts);
        }
        $bound = (new LowerBound($forward))->of($propagation);
        if (0 === $forward->size) {
            return new Solution(SolutionStatus::Feasible, 0, 0, [], [], $seed, [], 0);
        }
        $mirrored = $problem->objective->makespan;
        $network = $mirrored ? new Network(Mirror::of($problem)) : $forward;
        $windows = $mirrored ? new Propagation($network) : $propagation;
        $groups = Groups::of($network);
        $decoder = new Decoder($network, $windows, $groups);
        $search = new Search($network, $windows, $groups, $decoder, new Randomizer(new Xoshiro256StarStar($seed)));

        $best = null;
        $bestCost = \PHP_INT_MAX;
        $current = $search->start(0);
        $currentCost = \PHP_INT_MAX;
        $iterations = 0;
        do {
            $candidate = $iterations < self::STARTS ? $search->start($iterations) : $search->neighbour($current);
            ++$iterations;
            if ($decoder->decode(...$candidate)) {
                $cost = $search->cost($mirrored);
                if ($cost < $bestCost) {
                    $bestCost = $cost;
                    $best = $search->snapshot();
                }
                $slack = (int) (($bestCost - $bound) * self::THRESHOLD / (1 + $iterations / 400));
                if ($cost <= $currentCost || $cost <= $bestCost + $slack) {
                    $current = $candidate;
                    $currentCost = $cost;
                }
            } elseif (null === $best) {
                $current = $candidate;
            }
        } while ($bestCost > $bound && $iterations < $budget->iterations && ($decoder->timeline->work < $budget->work || $iterations < self::STARTS));

        if (null === $best) {
            $culprit = $network->ids[max(0, $decoder->failedAt)];

            return Solution::none(SolutionStatus::Unknown, $seed, [new Conflict('budget', \sprintf('%d orders were tried; %s was the last to find no place', $iterations, $culprit), [$culprit])], $bound, $iterations);
        }

        return $this->solution($network, $best, $bestCost, $bound, $seed, $iterations, $mirrored);
    }

    /**
     * @param array{array<int, int>, array<int, int>, array<int, list<int>|null>} $found starts, ends, choices
     */
    private function solution(Network $network, array $found, int $cost, int $bound, int $seed, int $iterations, bool $mirrored): Solution
    {
        [$starts, $ends, $chosen] = $found;
        $names = static fn (int $choice): array => array_map(static fn (int $r): string => $network->resourceIds[$r], $chosen[$choice] ?? []);
        $placements = [];
        foreach ($network->ids as $i => $id) {
            $uses = array_map(static fn (array $need): array => $names($need[0]), $network->needs[$i]);
            $placements[$id] = $mirrored ? new Placement(-$ends[$i], -$starts[$i], $uses) : new Placement($starts[$i], $ends[$i], $uses);
        }
        $holds = [];
        foreach ($network->holdIds as $h => $id) {
            $holds[$id] = array_map(static fn (array $need): array => $names($need[0]), $network->holdNeeds[$h]);
        }

        return new Solution(SolutionStatus::Feasible, $cost, $bound, $placements, $holds, $seed, [], $iterations);
    }
}
