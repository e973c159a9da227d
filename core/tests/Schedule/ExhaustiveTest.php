<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Schedule;

use FeastLadle\Schedule\Audit;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\Network;
use FeastLadle\Schedule\Placement;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\ProblemReader;
use FeastLadle\Schedule\Refutation;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Schedule\Solver;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Tiny problems in which every schedule can be tried: what is called impossible must be, and no bound may lie. */
final class ExhaustiveTest extends TestCase
{
    private const HORIZON = 9;

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 150; ++$seed) {
            yield "seed $seed" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function testProofsAndBoundsHoldAgainstEverySchedule(int $seed): void
    {
        $problem = $this->problem(new Randomizer(new Mt19937($seed)));
        $best = $this->best($problem);
        $solution = (new Solver())->solve($problem, Budget::iterations(150), $seed);
        if (SolutionStatus::Infeasible === $solution->status) {
            self::assertNull($best, 'It is called impossible, but can be done.');
        }
        if (null === $best) {
            self::assertNotSame(SolutionStatus::Feasible, $solution->status);

            return;
        }
        if (null !== $solution->bound) {
            self::assertLessThanOrEqual($best, $solution->bound);
        }
        if (null !== $solution->objective) {
            self::assertGreaterThanOrEqual($best, $solution->objective);
        }
    }

    /** By itself, not only where no schedule was found. */
    public function testNothingIsRefutedThatCanBeDone(): void
    {
        $refuted = $impossible = 0;
        foreach (range(1, 150) as $seed) {
            $problem = $this->problem(new Randomizer(new Mt19937($seed)));
            $network = new Network($problem);
            $latest = array_map(static fn (int $end, int $length): int => $end - $length, $network->latestEnd, $network->shortest);
            $found = (new Refutation($network))->find($network->earliestStart, $latest, $network->arcs(), 100_000);
            $best = $this->best($problem);
            self::assertTrue(null === $found || null === $best, "seed $seed");
            $impossible += null === $best ? 1 : 0;
            $refuted += null === $found ? 0 : 1;
        }
        self::assertGreaterThan(20, $impossible);
        self::assertGreaterThanOrEqual(0.9 * $impossible, $refuted);
    }

    public function testMostTinyProblemsAreSolvedToTheBest(): void
    {
        $possible = $found = $optimal = $impossible = $proven = 0;
        foreach (range(1, 150) as $seed) {
            $problem = $this->problem(new Randomizer(new Mt19937($seed)));
            $best = $this->best($problem);
            $solution = (new Solver())->solve($problem, Budget::iterations(150), $seed);
            if (null === $best) {
                ++$impossible;
                $proven += SolutionStatus::Infeasible === $solution->status ? 1 : 0;
                continue;
            }
            ++$possible;
            $found += null === $solution->objective ? 0 : 1;
            $optimal += $solution->objective === $best ? 1 : 0;
        }
        self::assertGreaterThan(60, $possible);
        self::assertGreaterThanOrEqual(0.97 * $possible, $found, "$found of $possible found");
        self::assertGreaterThanOrEqual(0.93 * $possible, $optimal, "$optimal of $possible best");
        self::assertGreaterThanOrEqual(0.95 * $impossible, $proven, "$proven of $impossible proven impossible");
    }

    private function problem(Randomizer $random): Problem
    {
        $activities = [];
        $links = [];
        for ($i = 0; $i < 3; ++$i) {
            $needs = $random->getInt(0, 3) > 0 ? [['from' => ['cook'], 'units' => [1, 2][$random->getInt(0, 1)]]] : [];
            $activities[] =
                ['id' => "a$i", 'duration' => $random->getInt(1, 4), 'needs' => $needs] +
                ($random->getInt(0, 1) > 0
                    ? [
                        'due' => [
                            'at' => $random->getInt(2, self::HORIZON),
                            'early' => $random->getInt(0, 2),
                            'late' => $random->getInt(1, 3),
                        ],
                    ]
                    : []);
            if ($i > 0 && $random->getInt(0, 3) > 0) {
                $min = $random->getInt(0, 2);
                $links[] = [
                    'from' => 'a'.$random->getInt(0, $i - 1),
                    'to' => "a$i",
                    'min' => $min,
                    'max' => $random->getInt(0, 1) > 0 ? $min + $random->getInt(0, 2) : null,
                    'type' => ['ES', 'SS', 'EE', 'SE'][$random->getInt(0, 3)],
                ];
            }
        }

        return (new ProblemReader())->read(
            json_encode(
                [
                    'format' => 'feast-ladle/schedule-problem',
                    'version' => 1,
                    'horizon' => [0, self::HORIZON],
                    'resources' => [
                        ['id' => 'cook', 'capacity' => 2] +
                        ($random->getInt(0, 2) > 1 ? ['calendar' => [[0, 4], [5, self::HORIZON]]] : []),
                    ],
                    'activities' => $activities,
                    'links' => $links,
                    'objective' => $random->getInt(0, 3) > 0
                            ? ['kind' => 'just-in-time', 'span' => $random->getInt(0, 1)]
                            : ['kind' => 'makespan'],
                ],
                \JSON_THROW_ON_ERROR,
            ),
        );
    }

    /** The objective of the best of all schedules, or null when there is none. */
    private function best(Problem $problem): ?int
    {
        $ids = array_keys($problem->activities);
        $best = null;
        for ($code = 0; $code < (self::HORIZON + 1) ** 3; ++$code) {
            $placements = [];
            $rest = $code;
            foreach ($ids as $id) {
                $start = $rest % (self::HORIZON + 1);
                $rest = intdiv($rest, self::HORIZON + 1);
                $activity = $problem->activities[$id];
                $placements[$id] = new Placement(
                    $start,
                    $start + $activity->duration->likely,
                    array_map(static fn (): array => ['cook'], $activity->needs),
                );
            }
            $faults = (new Audit())->faults($problem, new Solution(SolutionStatus::Feasible, null, null, $placements, [], 1, [], 0));
            // Only the missing objective is complained of; the audit has computed it.
            if (1 === \count($faults) && 1 === preg_match('/^the objective is (-?\d+), not null$/', $faults[0], $match)) {
                $best = min($best ?? \PHP_INT_MAX, (int) $match[1]);
            }
        }

        return $best;
    }
}
