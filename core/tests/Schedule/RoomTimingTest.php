<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Schedule;

use FeastLadle\Schedule\Audit;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\Buffering;
use FeastLadle\Schedule\Placement;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\ProblemReader;
use FeastLadle\Schedule\Risk;
use FeastLadle\Schedule\RiskReport;
use FeastLadle\Schedule\RoomTiming;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Schedule\Solver;
use PHPUnit\Framework\TestCase;

/** Room behind steps that may take longer. */
final class RoomTimingTest extends TestCase
{
    /** One fire; a and then b, ready at 100; both may take longer. */
    private const CHAIN = '{"format":"feast-ladle/schedule-problem","version":1,"horizon":[0,200],"resources":[{"id":"fire"}],"activities":[
        {"id":"a","duration":{"min":8,"likely":10,"max":20},"needs":[{"from":["fire"]}]},
        {"id":"b","duration":{"min":9,"likely":10,"max":14},"needs":[{"from":["fire"]}],"due":{"at":100,"early":1,"late":5}}],
        "links":[{"from":"a","to":"b","max":%s}]}';

    public function testRoomIsWorthMoreThanBeingEarlyCosts(): void
    {
        $found = $this->moved('null', ['a' => [10, 20], 'b' => [4, 20]], 60);

        self::assertSame(96, $found->activities['b']->end, 'four minutes before it is due');
        self::assertLessThanOrEqual(76, $found->activities['a']->end, 'ten minutes before it is wanted');
    }

    public function testRoomEndsWhereALongestGapForbidsIt(): void
    {
        $found = $this->moved('3', ['a' => [10, 20], 'b' => [4, 20]], 60);

        self::assertSame(96, $found->activities['b']->end);
        self::assertSame(83, $found->activities['a']->end, 'what it gives stands three minutes at the most');
    }

    public function testNobodyIsCalledEarlierThanIsAllowed(): void
    {
        $found = $this->moved('null', ['a' => [10, 20], 'b' => [4, 20]], 5);

        self::assertSame(75, $found->activities['a']->start);
    }

    public function testAPlanBecomesSurerAndHoldsAndNothingIsLaterThanItMust(): void
    {
        $better = 0;
        for ($seed = 1; $seed <= 60; ++$seed) {
            $problem = (new ProblemReader())->read(json_encode(RandomProblem::document($seed), \JSON_THROW_ON_ERROR));
            $solution = (new Solver())->solve($problem, Budget::milliseconds(20), $seed);
            if ($problem->objective->makespan || SolutionStatus::Feasible !== $solution->status || !$this->hasDue($problem)) {
                continue;
            }
            $shortfall = static fn (RiskReport $r): float => \count($r->chances) - array_sum($r->chances);
            $surer = (new Buffering($problem, $shortfall, [], Budget::milliseconds(40)))->surer($solution, $seed);
            self::assertSame([], (new Audit())->faults($problem, $surer), "seed $seed");
            $before = $shortfall(Risk::of($problem, $solution, 400, 9));
            $after = $shortfall(Risk::of($problem, $surer, 400, 9));
            self::assertLessThan($before + 0.1, $after, "seed $seed, in other futures");
            $better += $after < $before - 0.02 ? 1 : 0;
            self::assertGreaterThanOrEqual($this->begins($solution) - 60, $this->begins($surer), "seed $seed: an hour at the most, in all");
            foreach ($problem->activities as $id => $activity) {
                if (null !== $activity->due && $activity->due->late > 0) {
                    $must = max($activity->due->at, $solution->activities[$id]->end);
                    self::assertLessThanOrEqual($must, $surer->activities[$id]->end, "seed $seed: $id");
                }
            }
        }
        self::assertGreaterThan(5, $better);
    }

    private function begins(Solution $solution): int
    {
        return min(array_map(static fn (Placement $p): int => $p->start, $solution->activities ?: [new Placement(0, 0, [])]));
    }

    private function hasDue(Problem $problem): bool
    {
        foreach ($problem->activities as $activity) {
            if (null !== $activity->due && $activity->due->late > 0) {
                return true;
            }
        }

        return false;
    }

    /** @param array<string, array{int, int}> $room */
    private function moved(string $longest, array $room, int $sooner): Solution
    {
        $problem = (new ProblemReader())->read(\sprintf(self::CHAIN, $longest));
        $planned = ['a' => new Placement(80, 90, [['fire']]), 'b' => new Placement(90, 100, [['fire']])];
        $solution = new Solution(SolutionStatus::Feasible, 0, 0, $planned, [], 1, [], 0);
        self::assertSame([], (new Audit())->faults($problem, $solution));
        $found = (new RoomTiming($problem, $solution, 80 - $sooner))->with($room);
        self::assertNotNull($found);

        return $found;
    }
}
