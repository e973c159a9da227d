<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Finds a schedule: propagation first, for windows, a bound and proofs of infeasibility; then one built backwards by the
 * Decoder, completed by Ejection where something found no place, and improved by Reinsertion until the budget or the bound
 * ends it.
 */
final class Solver
{
    /** Orders that are tried at once before groups throw each other out. */
    private const STARTS = 4;

    private const SHARE_FOR_STARTS = 0.3;

    /** A proof may try four times as much as the budget says, up to so much (its tests take a third of the time), or as much. */
    private const PROOF = 8_000_000;

    /** From so many activities on, smaller groups are tried where large ones found no place. */
    private const LARGE = 100;

    /** In interval tests, where a budget counts iterations. */
    private const WORK_OF_AN_ITERATION = 20_000;

    /**
     * @param Solution|null $near a former schedule to begin with
     * @param bool          $stay whether as little as may be should move from there
     */
    public function solve(Problem $problem, Budget $budget, int $seed = 1, ?Solution $near = null, bool $stay = true): Solution
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
        $shop = Shop::of($forward);
        if (null !== $shop && null === $near) {
            [$starts, $makespan, $steps] = $shop->search($budget, $bound, new Randomizer(new Xoshiro256StarStar($seed)));
            if ($makespan <= $problem->horizonEnd - $problem->horizonStart) {
                return $this->inOrder($forward, $starts, $problem->horizonStart + $makespan, $bound, $seed, $steps);
            }
        }
        $mirrored = $problem->objective->makespan;
        $network = $mirrored ? new Network(Mirror::of($problem)) : $forward;
        $windows = $mirrored ? new Propagation($network) : $propagation;
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $work = $budget->workOr(self::WORK_OF_AN_ITERATION);
        $iterations = 0;
        $found = false;
        $near = $mirrored ? null : $near;
        // What was tried leaves its traces in a decoder: each beginning has its own.
        $beginnings = null === $near ? [Groups::of($network)] : [Groups::of($network), Groups::of($network)];
        $beginnings = $network->size > self::LARGE ? [...$beginnings, Groups::small($network)] : $beginnings;
        foreach ($beginnings as $try => $groups) {
            $neighbours = Neighbours::of($network, $groups);
            $decoder = new Decoder($network, $windows, $groups);
            $timeline = $decoder->timeline;
            $ejection = new Ejection($windows, $groups, $neighbours, $decoder, $random);
            if (null !== $near && 0 === $try) {
                (new WarmStart($network, $windows, $groups, $decoder))->place($near);
                $found = $ejection->complete($work);
            }
            $cost = new Cost($network, $timeline, $stay ? $near : null);
            if (null === $near || $try > 0) {
                [$found, $tried] = $this->start(
                    $decoder,
                    $cost,
                    static fn (int $which): array => StartingOrder::of($network, $windows, $groups, $which),
                    $bound,
                    $budget,
                );
                $iterations += $tried;
            }
            if ($found) {
                break;
            }
        }
        if (!$found) {
            // What can't be is proven before more is tried: that takes the least time where it can be proven at all.
            $conflict =
                $forward->size > Refutation::MOST_ACTIVITIES
                    ? null
                    : (new Refutation($forward))->find(
                        $propagation->earliest,
                        $propagation->latest,
                        $propagation->arcs,
                        max($work, min(4 * $work, self::PROOF)),
                    );
            if (null !== $conflict) {
                return Solution::none(SolutionStatus::Infeasible, $seed, [$conflict], null, $iterations);
            }
            $completion = new Completion(new Uses($network, TimingModel::of($network)), $windows, $random);
            $half = intdiv($work, 2);
            $found = $completion->find($timeline, $timeline->work + $half) || $ejection->complete($timeline->work + $half);
        }
        if (!$found) {
            $culprit = $network->ids[max(0, $decoder->failure->at)];

            return Solution::none(
                SolutionStatus::Unknown,
                $seed,
                [
                    new Conflict(
                        ConflictKind::Budget,
                        \sprintf('%d orders were tried; %s was the last to find no place', $iterations, $culprit),
                        [$culprit],
                    ),
                ],
                $bound,
                $iterations,
            );
        }
        $justification = $mirrored
            ? new Justification($network, $groups, $decoder, new Decoder($forward, $propagation, Groups::of($forward)))
            : null;
        $reinsertion = new Reinsertion($network, $groups, $neighbours, $decoder, $cost, $random);
        $improvement = new Improvement($network, $groups, $decoder, $cost, $random, $reinsertion, $justification);
        [$best, $objective, $iterations] = $improvement->improve($bound, $budget, $iterations, $stay && null !== $near);

        return SolutionWriter::of($network, $best, $objective, $bound, $seed, $iterations, $mirrored);
    }

    /**
     * The best of a few orders; the others are only tried while there is time.
     *
     * @param \Closure(int): array<int, float> $order
     *
     * @return array{bool, int} whether one went through, and how many were tried
     */
    private function start(Decoder $decoder, Cost $cost, \Closure $order, int $bound, Budget $budget): array
    {
        $timeline = $decoder->timeline;
        $best = null;
        $bestCost = \PHP_INT_MAX;
        $tried = 0;
        while (
            $tried < min(self::STARTS, $budget->iterations)
            && $bestCost > $bound
            && ($tried < 2 || $timeline->work < self::SHARE_FOR_STARTS * $budget->work)
        ) {
            if ($decoder->decode($order($tried), [], []) && $cost->now() < $bestCost) {
                $bestCost = $cost->now();
                $best = $timeline->lift(array_keys($timeline->placed));
            }
            ++$tried;
        }
        if (null !== $best) {
            $timeline->clear();
            $timeline->putBack($best);
        }

        return [null !== $best, $tried];
    }

    /** @param array<int, int> $starts by activity */
    private function inOrder(Network $network, array $starts, int $cost, int $bound, int $seed, int $steps): Solution
    {
        $placements = [];
        foreach ($network->ids as $i => $id) {
            $placements[$id] = new Placement(
                $starts[$i],
                $starts[$i] + $network->likely[$i],
                array_map(static fn (Need $n): array => $n->from, $network->problem->activities[$id]->needs),
            );
        }

        return new Solution(SolutionStatus::Feasible, $cost, $bound, $placements, [], $seed, [], $steps);
    }
}
