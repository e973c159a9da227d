<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Schedule;

use FeastLadle\Schedule\Audit;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\Placement;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\ProblemReader;
use FeastLadle\Schedule\Progress;
use FeastLadle\Schedule\Replan;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Schedule\Solver;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class ReplanTest extends TestCase
{
    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 120; ++$seed) {
            yield "seed $seed" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function testWhatIsDoneNeverMovesAndWhatRunsKeepsWhatItHas(int $seed): void
    {
        [$problem, $before] = $this->planned(RandomProblem::document($seed));
        if (null === $before) {
            $this->expectNotToPerformAssertions();

            return;
        }
        $random = new Randomizer(new Mt19937($seed));
        $now = $random->getInt(0, 900);
        $progress = $this->progress($before, $now, $random);
        $replan = Replan::of($problem, $before, $progress);
        $left = (new Solver())->solve($replan->problem, Budget::milliseconds(15), $seed, $replan->near);
        self::assertSame([], (new Audit())->faults($replan->problem, $left));
        if (SolutionStatus::Feasible !== $left->status) {
            return;
        }
        $whole = $replan->whole($left);
        self::assertSame(array_keys($problem->activities), array_keys($whole->activities));
        foreach ($whole->activities as $id => $placement) {
            if (isset($progress->done[$id])) {
                self::assertSame($progress->done[$id], [$placement->start, $placement->end]);
                self::assertSame($before->activities[$id]->uses, $placement->uses);
            } elseif (isset($progress->running[$id])) {
                self::assertSame($progress->running[$id], $placement->start);
                self::assertSame($before->activities[$id]->uses, $placement->uses);
            } else {
                self::assertGreaterThanOrEqual($now, $placement->start, $id);
            }
        }
    }

    /** When all goes as planned, nothing needs to move, and the objective is no worse. */
    #[DataProvider('seeds')]
    public function testAPlanThatIsKeptToIsKept(int $seed): void
    {
        [$problem, $before] = $this->planned(RandomProblem::document($seed));
        if (null === $before || $problem->objective->makespan || $problem->objective->span > 0) {
            $this->expectNotToPerformAssertions();

            return;
        }
        $now = 450;
        $done = $running = [];
        foreach ($before->activities as $id => $placement) {
            if ($placement->end <= $now) {
                $done[$id] = [$placement->start, $placement->end];
            } elseif ($placement->start < $now) {
                $running[$id] = $placement->start;
            }
        }
        $replan = Replan::of($problem, $before, new Progress($now, $done, $running));
        self::assertSame([], $replan->letGo);
        $left = (new Solver())->solve($replan->problem, Budget::milliseconds(10), $seed, $replan->near);
        self::assertSame(SolutionStatus::Feasible, $left->status);
        self::assertLessThanOrEqual($before->objective, $left->objective);
        $whole = $replan->whole($left);
        self::assertSame(
            [],
            (new Audit())->faults(
                $problem,
                new Solution($whole->status, $whole->objective, null, $whole->activities, $whole->holds, 1, [], 0),
            ),
        );
    }

    public function testAStepThatRunsLongPushesOnlyWhatItMust(): void
    {
        $step = static fn (string $id, int $length, string $fire): array => [
            'id' => $id,
            'duration' => $length,
            'needs' => [['from' => [$fire]]],
        ];
        $problem = $this->problem([
            'format' => 'feast-ladle/schedule-problem',
            'version' => 1,
            'horizon' => [0, 300],
            'resources' => [['id' => 'a'], ['id' => 'b']],
            'activities' => [
                $step('boil', 30, 'a'),
                $step('roast', 20, 'a') + ['due' => ['at' => 60, 'early' => 1, 'late' => 5]],
                $step('fry', 20, 'b') + ['due' => ['at' => 60, 'early' => 1, 'late' => 5]],
            ],
            'links' => [['from' => 'boil', 'to' => 'roast']],
        ]);
        $before = (new Solver())->solve($problem, Budget::iterations(20));
        self::assertSame(
            [10, 40, 40],
            [$before->activities['boil']->start, $before->activities['roast']->start, $before->activities['fry']->start],
        );
        // At 41 it boils since 17: it goes on for as long as it needs.
        $replan = Replan::of($problem, $before, new Progress(41, [], ['boil' => 17]));
        $whole = $replan->whole((new Solver())->solve($replan->problem, Budget::iterations(20), 1, $replan->near));
        self::assertEquals(new Placement(17, 47, [['a']]), $whole->activities['boil']);
        self::assertEquals(new Placement(47, 67, [['a']]), $whole->activities['roast']);
        self::assertSame(41, $whole->activities['fry']->start);
    }

    public function testWhatCanNoLongerBeKeptIsLetGoAndNamed(): void
    {
        $problem = $this->problem([
            'format' => 'feast-ladle/schedule-problem',
            'version' => 1,
            'horizon' => [0, 300],
            'resources' => [],
            'activities' => [['id' => 'fry', 'duration' => 10], ['id' => 'soak', 'duration' => 10, 'latestEnd' => 40]],
            'links' => [['from' => 'fry', 'to' => 'soak', 'max' => 2]],
        ]);
        $before = (new Solver())->solve($problem, Budget::iterations(5));
        $replan = Replan::of($problem, $before, new Progress(60, ['fry' => [5, 15]]));
        self::assertSame(['soak was to end by 40', 'soak was to follow fry within 2'], $replan->letGo);
        $left = (new Solver())->solve($replan->problem, Budget::iterations(5), 1, $replan->near);
        self::assertGreaterThanOrEqual(60, $replan->whole($left)->activities['soak']->start);
    }

    public function testAPotJustEmptiedIsWashedBeforeItIsUsedAgain(): void
    {
        $problem = $this->problem([
            'format' => 'feast-ladle/schedule-problem',
            'version' => 1,
            'horizon' => [0, 300],
            'resources' => [['id' => 'pot', 'turnover' => 6]],
            'activities' => [
                ['id' => 'boil', 'duration' => 10, 'needs' => [['from' => ['pot']]]],
                ['id' => 'syrup', 'duration' => 10, 'needs' => [['from' => ['pot']]], 'due' => ['at' => 20, 'late' => 5]],
            ],
            'links' => [['from' => 'boil', 'to' => 'syrup']],
        ]);
        $before = (new Solver())->solve($problem, Budget::iterations(5));
        $replan = Replan::of($problem, $before, new Progress(51, ['boil' => [40, 50]]));
        self::assertSame(
            56,
            $replan->whole((new Solver())->solve($replan->problem, Budget::iterations(5), 1, $replan->near))->activities['syrup']->start,
        );
    }

    public function testNothingIsDoneInTheFuture(): void
    {
        $this->expectExceptionMessage('"boil" is said to be done from 10 to 30, which is not before 20.');
        new Progress(20, ['boil' => [10, 30]]);
    }

    /** As planned up to now, but some ran longer and some were begun later. */
    private function progress(Solution $before, int $now, Randomizer $random): Progress
    {
        $done = $running = [];
        foreach ($before->activities as $id => $placement) {
            $late = $random->getInt(0, 2) > 1 ? $random->getInt(0, 30) : 0;
            if ($placement->end + $late <= $now) {
                $done[$id] = [$placement->start, $placement->end + $late];
            } elseif ($placement->start + $late <= $now) {
                $running[$id] = $placement->start + $late;
            }
        }

        return new Progress($now, $done, $running);
    }

    /**
     * @param array<string, mixed> $document
     *
     * @return array{Problem, ?Solution}
     */
    private function planned(array $document): array
    {
        $problem = $this->problem($document);
        $solution = (new Solver())->solve($problem, Budget::iterations(15), 1);

        return [$problem, SolutionStatus::Feasible === $solution->status ? $solution : null];
    }

    /** @param array<string, mixed> $document */
    private function problem(array $document): Problem
    {
        return (new ProblemReader())->read(json_encode($document, \JSON_THROW_ON_ERROR));
    }
}
