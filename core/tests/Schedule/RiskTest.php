<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Schedule;

use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\ProblemReader;
use FeastLadle\Schedule\Risk;
use FeastLadle\Schedule\RiskReport;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Schedule\Solver;
use FeastLadle\Schedule\Sureness;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RiskTest extends TestCase
{
    public function testAChanceHasOneNameOnEveryPage(): void
    {
        $names = array_map(Sureness::of(...), [1.0, 0.95, 0.949, 0.8, 0.799, 0.4, 0.399, 0.0]);
        self::assertSame(
            [
                Sureness::Sure,
                Sureness::Sure,
                Sureness::Likely,
                Sureness::Likely,
                Sureness::Open,
                Sureness::Open,
                Sureness::Late,
                Sureness::Late,
            ],
            $names,
        );
    }

    public function testWhatCanNotVaryIsSure(): void
    {
        $report = $this->tried([['id' => 'a', 'duration' => 30, 'due' => ['at' => 100]]]);
        self::assertSame(['a' => 1.0], $report->chances);
        self::assertSame(['a' => 0], $report->earlier);
        self::assertSame([], $report->blame);
    }

    public function testOneTriangleEndsInTimeAsOftenAsItSays(): void
    {
        // It ends at its due time when it takes the likely 30: the share of 20 to 60 below 30 is 10²/(40 × 10) = a quarter.
        $report = $this->tried(
            [['id' => 'a', 'duration' => ['min' => 20, 'likely' => 30, 'max' => 60], 'due' => ['at' => 100, 'early' => 1]]],
            runs: 20_000,
        );
        self::assertEqualsWithDelta(0.25, $report->chances['a'], 0.03);
        // 95 of 100 are below 60 − √(0.05 × 40 × 30) = 52.3 minutes, so 22 to 23 too long.
        self::assertEqualsWithDelta(22.3, $report->earlier['a'], 1.5);
        self::assertArrayHasKey('a', $report->blame);
    }

    public function testTheNextUserOfAFireWaitsForTheOneBefore(): void
    {
        $long = ['min' => 30, 'likely' => 30, 'max' => 90];
        $apart = $this->tried([
            ['id' => 'a', 'duration' => $long, 'needs' => [['from' => ['f']]], 'latestEnd' => 70],
            ['id' => 'b', 'duration' => 30, 'needs' => [['from' => ['g']]], 'due' => ['at' => 100, 'early' => 1]],
        ]);
        $shared = $this->tried([
            [
                'id' => 'a',
                'duration' => $long,
                'needs' => [['from' => ['f']]],
                'latestEnd' => 70,
                'due' => ['at' => 70, 'early' => 1, 'late' => 0],
            ],
            ['id' => 'b', 'duration' => 30, 'needs' => [['from' => ['f']]], 'due' => ['at' => 100, 'early' => 1]],
        ]);
        self::assertSame(1.0, $apart->chances['b']);
        self::assertLessThan(0.2, $shared->chances['b']);
        self::assertGreaterThan(0.8, $shared->blame['a']);
    }

    public function testALinkHandsTheDelayOn(): void
    {
        $problem = [
            'activities' => [
                ['id' => 'a', 'duration' => ['min' => 10, 'likely' => 10, 'max' => 40]],
                ['id' => 'b', 'duration' => 20, 'due' => ['at' => 100, 'early' => 1]],
            ],
            'links' => [['from' => 'a', 'to' => 'b', 'min' => 5, 'max' => 5]],
        ];
        $report = $this->tryOut($problem, 1000, 1);
        self::assertLessThan(0.1, $report->chances['b']);
        self::assertSame(['a', 'b'], array_keys($report->blame));
    }

    public function testNobodyIsAskedOutsideTheirShift(): void
    {
        $problem = [
            'resources' => [['id' => 'p', 'capacity' => 100, 'calendar' => [[0, 60], [200, 300]]]],
            'activities' => [
                ['id' => 'a', 'duration' => ['min' => 50, 'likely' => 50, 'max' => 90], 'latestEnd' => 60],
                ['id' => 'b', 'duration' => 10, 'needs' => [['from' => ['p'], 'units' => 100]], 'due' => ['at' => 60, 'early' => 1]],
            ],
            'links' => [['from' => 'a', 'to' => 'b', 'min' => 0]],
        ];
        $report = $this->tryOut($problem, 500, 3);
        // Later than the shift means the next one, 140 minutes on.
        self::assertGreaterThan(140, $report->earlier['b']);
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 8; ++$seed) {
            yield "seed $seed" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function testTheSameSeedTriesTheSame(int $seed): void
    {
        $activities = [
            ['id' => 'a', 'duration' => ['min' => 5, 'likely' => 10, 'max' => 30], 'needs' => [['from' => ['f']]]],
            [
                'id' => 'b',
                'duration' => ['min' => 5, 'likely' => 12, 'max' => 20],
                'needs' => [['from' => ['f']]],
                'due' => ['at' => 90, 'early' => 1],
            ],
        ];
        $first = $this->tried($activities, 200, $seed);
        self::assertEquals($first, $this->tried($activities, 200, $seed));
        foreach ($first->chances as $chance) {
            self::assertGreaterThanOrEqual(0.0, $chance);
            self::assertLessThanOrEqual(1.0, $chance);
        }
    }

    public function testWithoutAScheduleThereIsNothingToTry(): void
    {
        $problem = (new ProblemReader())->read($this->json(['activities' => [['id' => 'a', 'duration' => 5]]]));
        $this->expectException(\DomainException::class);
        Risk::of($problem, Solution::none(SolutionStatus::Unknown, 1, []));
    }

    /** @param list<array<string, mixed>> $activities */
    private function tried(array $activities, int $runs = 1000, int $seed = 1): RiskReport
    {
        return $this->tryOut(
            ['resources' => [['id' => 'f', 'capacity' => 1], ['id' => 'g', 'capacity' => 1]], 'activities' => $activities],
            $runs,
            $seed,
        );
    }

    /** @param array<string, mixed> $problem */
    private function tryOut(array $problem, int $runs, int $seed): RiskReport
    {
        $read = (new ProblemReader())->read($this->json($problem));
        $solution = $this->solve($read);

        return Risk::of($read, $solution, $runs, $seed);
    }

    private function solve(Problem $problem): Solution
    {
        $solution = (new Solver())->solve($problem, Budget::milliseconds(30), 1);
        self::assertSame(SolutionStatus::Feasible, $solution->status);

        return $solution;
    }

    /** @param array<string, mixed> $problem */
    private function json(array $problem): string
    {
        return json_encode(['format' => Problem::FORMAT, 'version' => 1, 'horizon' => [0, 600], ...$problem], \JSON_THROW_ON_ERROR);
    }
}
