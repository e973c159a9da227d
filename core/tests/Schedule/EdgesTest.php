<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Schedule;

use FeastLadle\Document\FaultyDocument;
use FeastLadle\Schedule\Audit;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\CommonDue;
use FeastLadle\Schedule\Conflict;
use FeastLadle\Schedule\DurationRange;
use FeastLadle\Schedule\Link;
use FeastLadle\Schedule\Network;
use FeastLadle\Schedule\Placement;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\ProblemReader;
use FeastLadle\Schedule\ProblemWriter;
use FeastLadle\Schedule\Progress;
use FeastLadle\Schedule\Propagation;
use FeastLadle\Schedule\Refutation;
use FeastLadle\Schedule\Replan;
use FeastLadle\Schedule\Risk;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Schedule\Solver;
use FeastLadle\Words\CannotBe;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Each side of each edge of the scheduler, on problems small enough to be done in the head. */
final class EdgesTest extends TestCase
{
    public function testABudgetIsWorkAndPatienceIsTimesIt(): void
    {
        $budget = Budget::milliseconds(3);
        self::assertSame([6000, 6000, \PHP_INT_MAX], [$budget->work, $budget->patientWork(), $budget->iterations]);
        self::assertSame([6000, 30_000], [$budget->patient(5)->work, $budget->patient(5)->patientWork()]);
        self::assertSame(6000, $budget->patient(0)->patientWork());
        self::assertSame(0, Budget::milliseconds(-4)->work);
        self::assertSame(\PHP_INT_MAX, Budget::iterations(7)->patient(9)->patientWork());
        self::assertSame(70, Budget::iterations(7)->workOr(10));
        self::assertSame(6000, $budget->workOr(10));
        self::assertSame([0, 7], [Budget::iterations(-1)->iterations, Budget::iterations(7)->iterations]);
    }

    public function testATriangleGrowsInWholeMinutesRoundedUp(): void
    {
        $range = new DurationRange(10, 21, 30);
        self::assertSame($range, $range->times(1.0));
        self::assertEquals(new DurationRange(11, 24, 33), $range->times(1.1));
        self::assertEquals(new DurationRange(5, 11, 15), $range->times(0.5));
        self::assertTrue(DurationRange::exactly(4)->isExact());
        self::assertFalse($range->isExact());
    }

    /** @return iterable<string, array{array<string, mixed>, list<string>}> change of a sound problem, where it is refused */
    public static function limits(): iterable
    {
        $calendar = static fn (int $n): array => array_map(static fn (int $i): array => [$i, $i + 1], range(0, 2 * $n - 2, 2));
        $resource = static fn (array $more): array => ['resources' => [['id' => 'r'] + $more]];
        $need = static fn (array $more): array => [
            'resources' => [['id' => 'r', 'capacity' => 1_000_000]],
            'activities' => [['id' => 'x', 'duration' => 1, 'needs' => [['from' => ['r']] + $more]]],
        ];
        $activity = static fn (array $more): array => ['activities' => [['id' => 'x', 'duration' => 1] + $more]];
        yield 'as many intervals as may be' => [$resource(['calendar' => $calendar(2000)]), []];
        yield 'one more' => [$resource(['calendar' => $calendar(2001)]), ['/resources/0/calendar']];
        yield 'intervals that touch' => [$resource(['calendar' => [[0, 5], [5, 9]]]), []];
        yield 'intervals that overlap' => [$resource(['calendar' => [[0, 5], [4, 9]]]), ['/resources/0/calendar']];
        yield 'an interval of one end' => [$resource(['calendar' => [[3]]]), ['/resources/0/calendar/0']];
        yield 'an interval of three' => [$resource(['calendar' => [[3, 4, 5]]]), ['/resources/0/calendar/0']];
        yield 'an interval that ends first' => [$resource(['calendar' => [[5, 3]]]), ['/resources/0/calendar/0']];
        yield 'the largest capacity' => [$resource(['capacity' => 1_000_000]), []];
        yield 'more' => [$resource(['capacity' => 1_000_001]), ['/resources/0/capacity']];
        yield 'none' => [$resource(['capacity' => 0]), ['/resources/0/capacity']];
        yield 'a unit' => [$need(['units' => 1]), []];
        yield 'no unit' => [$need(['units' => 0]), ['/activities/0/needs/0/units']];
        yield 'all units' => [$need(['units' => 1_000_000]), []];
        yield 'more units' => [$need(['units' => 1_000_001]), ['/activities/0/needs/0/units']];
        yield 'no time on it' => [$need(['duration' => ['r' => 0]]), []];
        yield 'less than none' => [$need(['duration' => ['r' => -1]]), ['/activities/0/needs/0/duration/r']];
        yield 'a dear minute' => [$activity(['due' => ['at' => 5, 'early' => 1_000_000, 'late' => 1_000_000]]), []];
        yield 'dearer, before' => [$activity(['due' => ['at' => 5, 'early' => 1_000_001]]), ['/activities/0/due/early']];
        yield 'dearer, after' => [$activity(['due' => ['at' => 5, 'late' => 1_000_001]]), ['/activities/0/due/late']];
        yield 'a free minute' => [$activity(['due' => ['at' => 5, 'early' => 0, 'late' => 0]]), []];
        yield 'a day as unit' => [['unitSeconds' => 86_400], []];
        yield 'more than a day' => [['unitSeconds' => 86_401], ['/unitSeconds']];
        yield 'no horizon' => [['horizon' => []], ['/horizon']];
        yield 'a horizon of one' => [['horizon' => [4]], ['/horizon']];
        yield 'a horizon of three' => [['horizon' => [4, 5, 6]], ['/horizon']];
    }

    /**
     * @param array<string, mixed> $change
     * @param list<string>         $pointers
     */
    #[DataProvider('limits')]
    public function testALimitIsInAndOneMoreIsOut(array $change, array $pointers): void
    {
        $faults = [];
        try {
            $this->problem($change);
        } catch (FaultyDocument $faulty) {
            $faults = array_map(static fn ($f): string => $f->pointer, $faulty->faults);
        }
        self::assertSame($pointers, $faults);
    }

    public function testWhatIsNotSaidIsTakenForTheUsual(): void
    {
        $problem = $this->problem([
            'resources' => [['id' => 'r']],
            'activities' => [['id' => 'x', 'duration' => 1, 'needs' => [['from' => ['r']]], 'due' => ['at' => 5]]],
        ]);
        self::assertSame(60, $problem->unitSeconds);
        self::assertSame(
            [1, 0, [[0, 100]]],
            [$problem->resources['r']->capacity, $problem->resources['r']->turnover, $problem->resources['r']->calendar],
        );
        self::assertSame(
            [1, 1, []],
            [
                $problem->activities['x']->needs[0]->count,
                $problem->activities['x']->needs[0]->units,
                $problem->activities['x']->needs[0]->durations,
            ],
        );
        self::assertSame([0, 1], [$problem->activities['x']->due?->early, $problem->activities['x']->due?->late]);
        $overlap = 'none';
        try {
            $this->problem(['resources' => [['id' => 'r', 'calendar' => [[0, 5], [4, 9]]]]]);
        } catch (FaultyDocument $faulty) {
            $overlap = $faulty->faults[0]->message();
        }
        self::assertStringContainsString('Two intervals overlap at 4.', $overlap);
    }

    /** Three jobs of 2, due together on one machine; a minute late costs three, early one: two before, one after, or all before. */
    public function testTheBoundOfACommonDueTimeIsWorkedOutByHand(): void
    {
        // The first ends at it, the second 2 before, the third 4 before: 0 + 2 + 4.
        self::assertSame(6, CommonDue::bound([[2, 1, 3], [2, 1, 3], [2, 1, 3]], 1));
        // With late as cheap as early, one ends 2 after: 0 + 2 + 2.
        self::assertSame(4, CommonDue::bound([[2, 1, 1], [2, 1, 1], [2, 1, 1]], 1));
        self::assertSame(0, CommonDue::bound([[9, 5, 5]], 1));
        self::assertSame(0, CommonDue::bound([[2, 1, 3], [2, 1, 3]], 2));
        // Never above what can be had, whatever is left out beyond the twelve dearest.
        self::assertGreaterThan(0, CommonDue::bound(array_fill(0, 13, [2, 1, 3]), 1));
        self::assertSame(CommonDue::bound(array_fill(0, 12, [2, 1, 3]), 1), CommonDue::bound(array_fill(0, 13, [2, 1, 3]), 1));
    }

    /** Two of 10 minutes within 10: on two fires they go side by side, on one there is no order for them. */
    public function testAProofHoldsOnlyWhereThereIsNoOrder(): void
    {
        $proof = function (int $minutes, string ...$fires): ?Conflict {
            $fires = array_values($fires);
            $network = new Network(
                $this->problem([
                    'horizon' => [0, $minutes],
                    'resources' => array_map(static fn (string $id): array => ['id' => $id], $fires),
                    'activities' => array_map(
                        static fn (string $id): array => ['id' => $id, 'duration' => 10, 'needs' => [['from' => $fires]]],
                        ['x', 'y'],
                    ),
                ]),
            );

            return (new Refutation($network))->find([0, 0], [$minutes - 10, $minutes - 10], $network->arcs(), 1000);
        };
        self::assertNull($proof(10, 'a', 'b'));
        self::assertSame(['a'], $proof(10, 'a')?->resources);
        // With ten minutes more both go on one.
        self::assertNull($proof(20, 'a'));
    }

    /**
     * Six tubs rise for seven hours and wait for four at most; nobody is there from 8:00 to 16:00. Four pots stand through the day, and
     * what one person can fry before it leaves no time to stir the next two. With a pot for each it goes.
     */
    public function testWhatWouldHaveToStandThroughAClosingIsCounted(): void
    {
        $proof = function (int $pots): ?Conflict {
            $ids = array_map(static fn (int $i): string => "pot-$i", range(1, $pots));
            $activities = $links = $holds = [];
            foreach (range(1, 6) as $i) {
                $activities[] = ['id' => "stir-$i", 'duration' => 20, 'needs' => [['from' => ['cook'], 'units' => 100]]];
                $activities[] = ['id' => "rise-$i", 'duration' => 420];
                $activities[] = ['id' => "fry-$i", 'duration' => 20, 'latestEnd' => 1200, 'needs' => [['from' => ['cook'],
                    'units' => 100]]];
                $links[] = ['from' => "stir-$i", 'to' => "rise-$i", 'min' => 0, 'max' => 10];
                $links[] = ['from' => "rise-$i", 'to' => "fry-$i", 'min' => 0, 'max' => 240];
                $holds[] = ['id' => "tub-$i", 'activities' => ["stir-$i", "rise-$i", "fry-$i"], 'needs' => [['from' => $ids]]];
            }
            $network = new Network(
                $this->problem([
                    'horizon' => [0, 1200],
                    'resources' => [
                        ...array_map(static fn (string $id): array => ['id' => $id, 'turnover' => 5], $ids),
                        ['id' => 'cook', 'capacity' => 100, 'calendar' => [[0, 480], [960, 1200]]],
                    ],
                    'activities' => $activities,
                    'links' => $links,
                    'holds' => $holds,
                ]),
            );
            $windows = new Propagation($network);
            self::assertSame([], $windows->conflicts);

            return (new Refutation($network))->find($windows->earliest, $windows->latest, $windows->arcs, 8_000_000);
        };
        $found = $proof(4);
        self::assertNotNull($found);
        self::assertContains('pot-4', $found->resources);
        self::assertContains('fry-6', $found->activities);
        self::assertNull($proof(6));
    }

    /** A tray for three: two holds of one and a step of one go together, a step of two more waits. */
    public function testAHoldAndAStepShareWhatHasRoomForBoth(): void
    {
        $problem = fn (int $units): Problem => $this->problem([
            'resources' => [['id' => 'tray', 'capacity' => 3]],
            'activities' => [
                ['id' => 'rest', 'duration' => 40, 'due' => ['at' => 60, 'early' => 1, 'late' => 1]],
                ['id' => 'dry', 'duration' => 40, 'due' => ['at' => 60, 'early' => 1, 'late' => 1]],
                [
                    'id' => 'cut',
                    'duration' => 10,
                    'needs' => [['from' => ['tray'], 'units' => $units]],
                    'due' => ['at' => 50, 'early' => 1, 'late' => 1],
                ],
            ],
            'holds' => [
                ['id' => 'h', 'activities' => ['rest'], 'needs' => [['from' => ['tray']]]],
                ['id' => 'g', 'activities' => ['dry'], 'needs' => [['from' => ['tray']]]],
            ],
        ]);
        foreach ([[1, 0], [2, 30]] as [$units, $cost]) {
            $solution = (new Solver())->solve($problem($units), Budget::iterations(60));
            self::assertSame([], (new Audit())->faults($problem($units), $solution));
            self::assertLessThanOrEqual($cost, $solution->objective, "$units units");
            self::assertGreaterThanOrEqual(min($cost, 20), $solution->objective, "$units units");
        }
    }

    /** Two of three hands at once, for two steps of two: one after the other; with four hands side by side. */
    public function testSomeOfManyAreTakenAtOnce(): void
    {
        foreach ([[3, 20], [4, 10], [2, 20]] as [$hands, $makespan]) {
            $ids = array_map(static fn (int $i): string => "hand-$i", range(1, $hands));
            $problem = $this->problem([
                'resources' => array_map(static fn (string $id): array => ['id' => $id], $ids),
                'activities' => array_map(
                    static fn (string $id): array => ['id' => $id, 'duration' => 10, 'needs' => [['from' => $ids, 'count' => 2]]],
                    ['x', 'y'],
                ),
                'objective' => ['kind' => 'makespan'],
            ]);
            $solution = (new Solver())->solve($problem, Budget::iterations(40));
            self::assertSame([], (new Audit())->faults($problem, $solution));
            self::assertSame($makespan, $solution->objective, "$hands hands");
        }
    }

    public function testOnlyWhatMayBeLateIsTriedAndInReason(): void
    {
        $problem = $this->problem([
            'activities' => [
                ['id' => 'sure', 'duration' => 10, 'due' => ['at' => 50, 'early' => 1, 'late' => 0]],
                [
                    'id' => 'late',
                    'duration' => ['min' => 5, 'likely' => 10, 'max' => 20],
                    'due' => ['at' => 50, 'early' => 1, 'late' => 2],
                ],
            ],
        ]);
        $solution = (new Solver())->solve($problem, Budget::iterations(5));
        $report = Risk::of($problem, $solution, 200);
        self::assertSame(['late'], array_keys($report->chances));
        self::assertSame(['late'], array_keys($report->blame));
        // It is late whenever it lasts longer than it likely does: two thirds of a triangle of 5, 10 and 20.
        self::assertEqualsWithDelta(1 / 3, $report->chances['late'], 0.12);
        self::assertEqualsWithDelta(2 / 3, $report->blame['late'], 0.12);
        self::assertSame(1.0, Risk::of($problem, $solution, 50, grace: ['late' => 10])->chances['late']);
        foreach ([0, 100_001] as $runs) {
            try {
                Risk::of($problem, $solution, $runs);
                self::fail("$runs runs are outside.");
            } catch (CannotBe $refusal) {
                self::assertSame("$runs runs are outside 1 to 100000.", $refusal->getMessage());
            }
        }
    }

    /** What must end by 60 and takes 10 can begin at 50; at 51 it is let go. */
    public function testALatestEndHoldsForAsLongAsItCan(): void
    {
        $problem = $this->problem(['activities' => [['id' => 'soak', 'duration' => 10, 'latestEnd' => 60]]]);
        $before = (new Solver())->solve($problem, Budget::iterations(5));
        self::assertSame([], Replan::of($problem, $before, new Progress(50))->letGo);
        self::assertSame(['soak was to end by 60'], Replan::of($problem, $before, new Progress(51))->letGo);
    }

    /** What has run for longer than it likely lasts goes on for a minute more, never for none. */
    public function testWhatRunsIsNotPlannedAway(): void
    {
        $problem = $this->problem(['activities' => [['id' => 'fry', 'duration' => 10], ['id' => 'call', 'duration' => 0]]]);
        $before = new Solution(
            SolutionStatus::Feasible,
            0,
            0,
            ['fry' => new Placement(0, 10, []), 'call' => new Placement(0, 0, [])],
            [],
            1,
            [],
            0,
        );
        foreach ([[4, 10], [10, 11], [35, 36]] as [$now, $end]) {
            $replan = Replan::of($problem, $before, new Progress($now, [], ['fry' => 0, 'call' => 0]));
            self::assertSame($end, $replan->near->activities['fry']->end, "at $now");
            self::assertSame($now, $replan->near->activities['call']->end, "at $now");
        }
    }

    /** Washed for 6 minutes: up to 5 after it was emptied the wash is in the way, from 6 on it is not. */
    public function testAWashIsOverWhenItIsOver(): void
    {
        $problem = $this->problem([
            'resources' => [['id' => 'pot', 'turnover' => 6], ['id' => 'clean']],
            'activities' => [
                ['id' => 'boil', 'duration' => 10, 'needs' => [['from' => ['pot']], ['from' => ['clean']]]],
                ['id' => 'next', 'duration' => 5, 'needs' => [['from' => ['pot']]]],
            ],
        ]);
        $before = (new Solver())->solve($problem, Budget::iterations(5));
        $markers = static fn (int $now): array => array_values(
            array_filter(
                array_keys(Replan::of($problem, $before, new Progress($now, ['boil' => [10, 20]]))->problem->activities),
                static fn (string $id): bool => str_starts_with($id, 'used>'),
            ),
        );
        self::assertSame(['used>pot'], $markers(20));
        self::assertSame(['used>pot'], $markers(25));
        self::assertSame([], $markers(26));
        $replan = Replan::of($problem, $before, new Progress(20, ['boil' => [10, 20]]));
        self::assertEquals(new Placement(19, 20, [['pot']]), $replan->near->activities['used>pot']);
    }

    /** Who runs on something beyond its calendar keeps it open for as long: what touches that becomes one interval. */
    public function testWhatRunsOnKeepsItsResourceOpen(): void
    {
        $problem = $this->problem([
            'resources' => [['id' => 'cook', 'calendar' => [[0, 20], [25, 40], [60, 90]]]],
            'activities' => [['id' => 'stir', 'duration' => 10, 'needs' => [['from' => ['cook']]]]],
        ]);
        $before = new Solution(SolutionStatus::Feasible, 0, 0, ['stir' => new Placement(8, 18, [['cook']])], [], 1, [], 0);
        $calendar = static fn (int $begun, int $now): array => Replan::of($problem, $before, new Progress($now, [], ['stir' => $begun]))
            ->problem->resources['cook']->calendar;
        self::assertSame([[0, 20], [25, 40], [60, 90]], $calendar(8, 12));
        self::assertSame([[0, 24], [25, 40], [60, 90]], $calendar(14, 16));
        self::assertSame([[0, 40], [60, 90]], $calendar(17, 18));
        self::assertSame([[0, 20], [25, 40], [45, 55], [60, 90]], $calendar(45, 45));
    }

    /**
     * One of two who can, and two of four hands, out of one pool: whichever two hands are there alone, they are found.
     *
     * @return iterable<string, array{int, int}>
     */
    public static function pairs(): iterable
    {
        foreach ([[1, 2], [1, 3], [1, 4], [2, 3], [2, 4], [3, 4]] as [$a, $b]) {
            yield "hands $a and $b" => [$a, $b];
        }
    }

    #[DataProvider('pairs')]
    public function testEveryPairOfHandsIsTried(int $a, int $b): void
    {
        $hands = ['hand-1', 'hand-2', 'hand-3', 'hand-4'];
        $problem = $this->problem([
            'resources' => [
                ['id' => 'cook'],
                ...array_map(
                    static fn (string $id): array => [
                        'id' => $id,
                        'calendar' => \in_array($id, ["hand-$a", "hand-$b"], true) ? [[0, 60]] : [[70, 100]],
                    ],
                    $hands,
                ),
            ],
            'activities' => [
                [
                    'id' => 'lift',
                    'duration' => 10,
                    'needs' => [['from' => ['cook', 'hand-1']], ['from' => $hands, 'count' => 2]],
                    'due' => ['at' => 40, 'early' => 1, 'late' => 1],
                ],
            ],
        ]);
        $solution = (new Solver())->solve($problem, Budget::iterations(20));
        self::assertSame([], (new Audit())->faults($problem, $solution));
        self::assertSame(0, $solution->objective);
        $taken = $solution->activities['lift']->uses[1];
        sort($taken);
        self::assertSame([['cook'], ["hand-$a", "hand-$b"]], [$solution->activities['lift']->uses[0], $taken]);
        self::assertSame(1, $solution->seed);
    }

    /** Washed for a minute only: just emptied it is still in the way. */
    public function testAShortWashIsAWash(): void
    {
        $problem = $this->problem([
            'resources' => [['id' => 'pot', 'turnover' => 1]],
            'activities' => [['id' => 'boil', 'duration' => 10, 'needs' => [['from' => ['pot']]]]],
        ]);
        $before = (new Solver())->solve($problem, Budget::iterations(5));
        $left = static fn (int $now): array => array_keys(
            Replan::of($problem, $before, new Progress($now, ['boil' => [10, 20]]))->problem->activities,
        );
        self::assertContains('used>pot', $left(20));
        self::assertNotContains('used>pot', $left(21));
    }

    /** What is as usual is not written, and a link without a gap has none. */
    public function testWhatIsUsualIsNotWritten(): void
    {
        $problem = $this->problem([
            'activities' => [['id' => 'x', 'duration' => 3], ['id' => 'y', 'duration' => 3, 'earliestStart' => 1, 'latestEnd' => 99]],
            'links' => [['from' => 'x', 'to' => 'y']],
        ]);
        self::assertSame([0, null], [$problem->links[0]->min, $problem->links[0]->max]);
        self::assertSame([0, null], [(new Link('x', 'y'))->min, (new Link('x', 'y'))->max]);
        $written = json_decode(
            json_encode((new ProblemWriter())->problem($problem), \JSON_THROW_ON_ERROR),
            true,
            64,
            \JSON_THROW_ON_ERROR,
        );
        self::assertIsArray($written);
        self::assertIsArray($written['activities']);
        [$x, $y] = $written['activities'];
        self::assertIsArray($x);
        self::assertIsArray($y);
        self::assertArrayNotHasKey('earliestStart', $x);
        self::assertArrayNotHasKey('latestEnd', $x);
        self::assertSame([1, 99], [$y['earliestStart'], $y['latestEnd']]);
    }

    /** @param array<string, mixed> $change */
    private function problem(array $change): Problem
    {
        return (new ProblemReader())->read(
            json_encode(['format' => Problem::FORMAT, 'version' => 1, 'horizon' => [0, 100], ...$change], \JSON_THROW_ON_ERROR),
        );
    }
}
