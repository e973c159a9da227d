<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Schedule;

use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\Placement;
use FeastLadle\Schedule\PlannedOrder;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\ProblemReader;
use FeastLadle\Schedule\Slips;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Schedule\Solver;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** How late each activity may come before a moment is missed. */
final class SlipsTest extends TestCase
{
    public function testAChainSlipsByWhatIsLeftToItsMomentAndByTheRoomOnTheWay(): void
    {
        // a 0–10, ten minutes of nothing, b 20–30, due at 45.
        $slips = $this->slips(
            [
                'activities' => [['id' => 'a', 'duration' => 10], ['id' => 'b', 'duration' => 10, 'due' => ['at' => 45, 'late' => 1]]],
                'links' => [['type' => 'ES', 'from' => 'a', 'to' => 'b', 'min' => 5]],
            ],
            ['a' => [0, 10], 'b' => [20, 30]],
        );
        self::assertSame(['a' => 20, 'b' => 15], $slips);
    }

    public function testWhoHasTheFireNextWaitsToo(): void
    {
        $slips = $this->slips(
            [
                'resources' => [['id' => 'fire']],
                'activities' => [
                    ['id' => 'a', 'duration' => 10, 'needs' => [['from' => ['fire']]]],
                    ['id' => 'b', 'duration' => 10, 'needs' => [['from' => ['fire']]], 'due' => ['at' => 20, 'late' => 1]],
                    ['id' => 'c', 'duration' => 5],
                ],
            ],
            ['a' => [0, 10], 'b' => [10, 20], 'c' => [0, 5]],
        );
        self::assertSame(0, $slips['a'], 'on the critical chain by its fire');
        self::assertNull($slips['c'], 'nothing waits for it');
    }

    public function testWhatWasPlannedBeforeTheMomentMayBeUsedUp(): void
    {
        $problem = ['activities' => [['id' => 'a', 'duration' => 10, 'due' => ['at' => 20, 'late' => 1]]]];
        self::assertSame(['a' => 0], $this->slips($problem, ['a' => [10, 20]]));
        self::assertSame(['a' => 30], $this->slips($problem, ['a' => [10, 20]], ['a' => 30]));
    }

    public function testWithoutAScheduleNothingSlips(): void
    {
        $problem = (new ProblemReader())->read($this->json(['activities' => [['id' => 'a', 'duration' => 10]]]));
        self::assertSame([], Slips::of($problem, Solution::none(SolutionStatus::Unknown, 0, [])));
    }

    /** Pushed on by its slip, through everything that waits for it, nothing due is missed; by a minute more, something is. */
    public function testASlipIsAllThereIsAndNoMore(): void
    {
        $plan = (new FeastPlanner(Shipped::larder()))->plan(Shipped::templeFeast(), Shipped::temple());
        $slips = Slips::of($plan->problem, $plan->solution, $plan->margins);
        self::assertGreaterThan(40, \count(array_filter($slips, static fn (?int $s): bool => null !== $s)));
        foreach ($slips as $id => $slip) {
            if (null !== $slip) {
                self::assertSame(0, $this->missed($plan->problem, $plan->solution, $plan->margins, $id, $slip), $id);
                self::assertGreaterThan(0, $this->missed($plan->problem, $plan->solution, $plan->margins, $id, $slip + 1), $id);
            }
        }
    }

    /** @param array<string, int> $grace */
    private function missed(Problem $problem, Solution $solution, array $grace, string $late, int $by): int
    {
        $turns = new PlannedOrder($problem, $solution);
        $ends = $starts = [];
        $missed = 0;
        foreach ($turns->order as $id) {
            $planned = $solution->activities[$id];
            $start = $planned->start + ($id === $late ? $by : 0);
            foreach ($turns->before($id) as [$from, $fromEnd, $toEnd, $lag]) {
                $start = max($start, ($fromEnd ? $ends[$from] : $starts[$from]) + $lag - ($toEnd ? $planned->end - $planned->start : 0));
            }
            $starts[$id] = $start;
            $ends[$id] = $start + $planned->end - $planned->start;
            $due = $problem->activities[$id]->due;
            $missed += null !== $due && $due->late > 0 && $ends[$id] > max($planned->end, $due->at + ($grace[$id] ?? 0)) ? 1 : 0;
        }

        return $missed;
    }

    /**
     * @param array<string, mixed>           $problem
     * @param array<string, array{int, int}> $times
     * @param array<string, int>             $grace
     *
     * @return array<string, int|null>
     */
    private function slips(array $problem, array $times, array $grace = []): array
    {
        $read = (new ProblemReader())->read($this->json($problem));
        $solved = (new Solver())->solve($read, Budget::milliseconds(20), 1);
        $placements = [];
        foreach ($times as $id => [$start, $end]) {
            $placements[$id] = new Placement($start, $end, $solved->activities[$id]->uses);
        }

        $slips = Slips::of($read, new Solution(SolutionStatus::Feasible, 0, 0, $placements, [], 1, [], 0), $grace);
        ksort($slips);

        return $slips;
    }

    /** @param array<string, mixed> $problem */
    private function json(array $problem): string
    {
        return json_encode(['format' => Problem::FORMAT, 'version' => 1, 'horizon' => [0, 600], ...$problem], \JSON_THROW_ON_ERROR);
    }
}
