<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Schedule;

use FeastLadle\Schedule\Audit;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\ProblemReader;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Schedule\Solver;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SolverTest extends TestCase
{
    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 250; ++$seed) {
            yield "problem $seed" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function testEveryAnswerPassesTheAudit(int $seed): void
    {
        $problem = $this->problem(RandomProblem::document($seed));
        $solution = (new Solver())->solve($problem, Budget::iterations(12), $seed);
        self::assertSame([], (new Audit())->faults($problem, $solution), "seed $seed");
        if (SolutionStatus::Feasible !== $solution->status) {
            self::assertNotEmpty($solution->conflicts, "seed $seed");
        }
    }

    public function testSharedThingsPassTheAudit(): void
    {
        for ($seed = 1; $seed <= 120; ++$seed) {
            $problem = $this->problem(RandomProblem::shared($seed));
            self::assertSame(
                [],
                (new Audit())->faults($problem, (new Solver())->solve($problem, Budget::iterations(8), $seed)),
                "seed $seed",
            );
        }
    }

    public function testMostRandomProblemsAreSolvedOrProvenImpossible(): void
    {
        $unknown = 0;
        for ($seed = 1; $seed <= 250; ++$seed) {
            $solution = (new Solver())->solve($this->problem(RandomProblem::document($seed)), Budget::iterations(12), $seed);
            $unknown += SolutionStatus::Unknown === $solution->status ? 1 : 0;
        }
        self::assertLessThanOrEqual(12, $unknown, 'More than 5 % of the random problems stay undecided.');
    }

    public function testSameSeedAndFileGiveTheSameAnswer(): void
    {
        foreach ([3, 11, 42] as $seed) {
            $document = RandomProblem::document($seed, 20);
            $first = (new Solver())->solve($this->problem($document), Budget::milliseconds(20), 7);
            $second = (new Solver())->solve($this->problem($document), Budget::milliseconds(20), 7);
            self::assertEquals($first, $second);
        }
    }

    public function testMoreTimeNeverMakesItWorse(): void
    {
        foreach ([5, 7, 29, 37] as $seed) {
            $problem = $this->problem(RandomProblem::document($seed, 24));
            $short = (new Solver())->solve($problem, Budget::iterations(5), 1);
            $long = (new Solver())->solve($problem, Budget::iterations(120), 1);
            self::assertNotNull($short->objective, "seed $seed");
            self::assertLessThanOrEqual($short->objective, $long->objective);
        }
    }

    public function testTheExampleOfTheFormatIsSolvedToItsBound(): void
    {
        $problem = (new ProblemReader())->read((string) file_get_contents(__DIR__.'/fixtures/example.json'));
        $solution = (new Solver())->solve($problem, Budget::iterations(50));
        self::assertSame(28, $solution->objective);
        self::assertSame(28, $solution->bound);
        self::assertSame(640, $solution->activities['merge']->end);
        self::assertSame($solution->activities['roast']->uses[0], $solution->activities['merge']->uses[0]);
    }

    public function testAHeldPotStaysTakenWhileItsContentsRest(): void
    {
        $solution = $this->solve([
            'resources' => [['id' => 'pot', 'turnover' => 5]],
            'activities' => [
                ['id' => 'boil', 'duration' => 10],
                ['id' => 'pour', 'duration' => 2, 'due' => ['at' => 90]],
                ['id' => 'other', 'duration' => 10, 'due' => ['at' => 60, 'early' => 1, 'late' => 1]],
            ],
            'links' => [['from' => 'boil', 'to' => 'pour', 'min' => 30]],
            'holds' => [
                ['id' => 'one', 'activities' => ['boil', 'pour'], 'needs' => [['from' => ['pot']]]],
                ['id' => 'two', 'activities' => ['other'], 'needs' => [['from' => ['pot']]]],
            ],
        ]);
        self::assertSame(SolutionStatus::Feasible, $solution->status);
        $hold = [$solution->activities['boil']->start, $solution->activities['pour']->end];
        $other = $solution->activities['other'];
        self::assertTrue($other->end + 5 <= $hold[0] || $other->start >= $hold[1] + 5);
    }

    public function testTwoThatNeverLeaveWaitForOneCookButWatchingGoesBesideIt(): void
    {
        $cook = ['resources' => [['id' => 'cook', 'capacity' => 100]]];
        $act = static fn (string $id, int $units): array => [
            'id' => $id,
            'duration' => 20,
            'needs' => [['from' => ['cook'], 'units' => $units]],
            'due' => ['at' => 90, 'early' => 1, 'late' => 1],
        ];
        self::assertSame(20, $this->solve([...$cook, 'activities' => [$act('stir', 75), $act('fry', 75)]])->objective);
        self::assertSame(0, $this->solve([...$cook, 'activities' => [$act('stir', 75), $act('simmer', 25)]])->objective);
    }

    /** @return iterable<string, array{array<string, mixed>, string, list<string>}> problem, kind of conflict, activities it must name */
    public static function impossible(): iterable
    {
        $x = ['id' => 'x', 'duration' => 30];
        $y = ['id' => 'y', 'duration' => 30];
        yield 'a chain longer than the horizon' => [
            [
                'activities' => [$x, $y, ['id' => 'z', 'duration' => 50]],
                'links' => [['from' => 'x', 'to' => 'y'], ['from' => 'y', 'to' => 'z']],
            ],
            'link',
            ['x', 'y', 'z'],
        ];
        yield 'a latest end too early' => [['activities' => [['id' => 'x', 'duration' => 30, 'latestEnd' => 20]]], 'window', ['x']];
        yield 'more units than there are' => [
            [
                'resources' => [['id' => 'cook', 'capacity' => 100]],
                'activities' => [['id' => 'x', 'duration' => 5, 'needs' => [['from' => ['cook'], 'units' => 101]]]],
            ],
            'need',
            ['x'],
        ];
        yield 'no shift is long enough' => [
            [
                'resources' => [['id' => 'cook', 'calendar' => [[0, 20], [20, 45]]]],
                'activities' => [['id' => 'x', 'duration' => 30, 'needs' => [['from' => ['cook']]]]],
            ],
            'calendar',
            ['x'],
        ];
        yield 'two must meet within minutes but share the cook' => [
            [
                'resources' => [['id' => 'cook']],
                'activities' => [
                    [...$x, 'needs' => [['from' => ['cook']]]],
                    [...$y, 'needs' => [['from' => ['cook']]]],
                    ['id' => 'm', 'duration' => 1],
                ],
                'links' => [['from' => 'x', 'to' => 'm', 'max' => 5], ['from' => 'y', 'to' => 'm', 'max' => 5]],
            ],
            'resource',
            ['x', 'y'],
        ];
        yield 'a longest gap shorter than what lies in it' => [
            [
                'horizon' => [0, 100000000],
                'activities' => [$x, $y],
                'links' => [['from' => 'x', 'to' => 'y', 'min' => 1], ['from' => 'x', 'to' => 'y', 'max' => 20, 'type' => 'SS']],
            ],
            'link',
            ['x', 'y'],
        ];
        yield 'three stand full until one step takes them all, and there are two bowls' => [
            [
                'resources' => [['id' => 'bowl-1'], ['id' => 'bowl-2']],
                'activities' => [
                    ...array_map(static fn (int $i): array => ['id' => "c$i", 'duration' => 10], range(0, 2)),
                    ['id' => 'up', 'duration' => 5],
                ],
                'links' => array_map(static fn (int $i): array => ['from' => "c$i", 'to' => 'up'], range(0, 2)),
                'holds' => array_map(
                    static fn (int $i): array => [
                        'id' => "h$i",
                        'activities' => ["c$i", 'up'],
                        'needs' => [['from' => ['bowl-2', 'bowl-1']]],
                    ],
                    range(0, 2),
                ),
            ],
            'hold',
            ['c0', 'c1', 'c2', 'up'],
        ];
        $three = static fn (string $id, int $length, int $from, int $to): array => [
            'id' => $id,
            'duration' => $length,
            'earliestStart' => $from,
            'latestEnd' => $to,
            'needs' => [['from' => ['stove']]],
        ];
        yield 'three windows on one stove that leave no order' => [
            [
                'resources' => [['id' => 'stove', 'turnover' => 3]],
                'activities' => [$three('x', 20, 0, 45), $three('y', 18, 2, 44), $three('z', 2, 18, 28)],
            ],
            'search',
            ['x', 'y', 'z'],
        ];
        yield 'more work than the window holds' => [
            [
                'resources' => [['id' => 'fire']],
                'activities' => array_map(
                    static fn (int $i): array => ['id' => "f$i", 'duration' => 30, 'needs' => [['from' => ['fire']]]],
                    range(0, 3),
                ),
            ],
            'resource',
            ['f0', 'f1', 'f2', 'f3'],
        ];
    }

    /**
     * @param array<string, mixed> $problem
     * @param list<string>         $activities
     */
    #[DataProvider('impossible')]
    public function testWhatCannotBeIsProvenAndSaysWhatStandsInTheWay(array $problem, string $kind, array $activities): void
    {
        $solution = $this->solve($problem);
        self::assertSame(SolutionStatus::Infeasible, $solution->status);
        self::assertSame($kind, $solution->conflicts[0]->kind->value);
        foreach ($activities as $activity) {
            self::assertContains($activity, $solution->conflicts[0]->activities);
        }
    }

    public function testASmallShopReachesTheBestPossibleMakespan(): void
    {
        $machines = [['id' => 'm0'], ['id' => 'm1']];
        $solution = $this->solve([
            'resources' => $machines,
            'objective' => ['kind' => 'makespan'],
            'activities' => [
                ['id' => 'a0', 'duration' => 3, 'needs' => [['from' => ['m0']]]],
                ['id' => 'a1', 'duration' => 2, 'needs' => [['from' => ['m1']]]],
                ['id' => 'b0', 'duration' => 2, 'needs' => [['from' => ['m1']]]],
                ['id' => 'b1', 'duration' => 4, 'needs' => [['from' => ['m0']]]],
            ],
            'links' => [['from' => 'a0', 'to' => 'a1'], ['from' => 'b0', 'to' => 'b1']],
        ]);
        self::assertSame(7, $solution->objective);
        self::assertSame(7, $solution->bound);
    }

    public function testAnEmptyProblemHasAnEmptySchedule(): void
    {
        $solution = $this->solve([]);
        self::assertSame(SolutionStatus::Feasible, $solution->status);
        self::assertSame(0, $solution->objective);
    }

    /** @param array<string, mixed> $document */
    private function problem(array $document): Problem
    {
        return (new ProblemReader())->read(json_encode($document, \JSON_THROW_ON_ERROR));
    }

    /** @param array<string, mixed> $change */
    private function solve(array $change): Solution
    {
        $problem = $this->problem(['format' => 'feast-ladle/schedule-problem', 'version' => 1, 'horizon' => [0, 100], ...$change]);
        $solution = (new Solver())->solve($problem, Budget::iterations(60));
        self::assertSame([], (new Audit())->faults($problem, $solution));

        return $solution;
    }
}
