<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Schedule;

use FeastLadle\Schedule\Audit;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\CommonDue;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\ProblemReader;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Schedule\Solver;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Kitchens with a known best plan: the engine must prove the bound by itself, and come near it. */
final class GeneratedKitchenTest extends TestCase
{
    /** @return iterable<string, array{int, int}> */
    public static function kitchens(): iterable
    {
        foreach ([30 => [1, 2, 3, 4], 60 => [1, 2, 3], 150 => [1, 2], 600 => [1]] as $size => $seeds) {
            foreach ($seeds as $seed) {
                yield "$size activities, seed $seed" => [$size, $seed];
            }
        }
    }

    #[DataProvider('kitchens')]
    public function testTheBoundIsTheKnownBestAndThePlanIsSound(int $size, int $seed): void
    {
        [$problem, $optimum] = $this->kitchen($seed, $size);
        $solution = (new Solver())->solve($problem, Budget::milliseconds(60), 3);
        self::assertSame(SolutionStatus::Feasible, $solution->status);
        self::assertSame([], (new Audit())->faults($problem, $solution));
        self::assertSame($optimum, $solution->bound);
        self::assertGreaterThanOrEqual($optimum, $solution->objective);
    }

    public function testSixtyActivitiesComeWithinThreePercentOfTheBest(): void
    {
        foreach ([1, 2, 3] as $seed) {
            [$problem, $optimum] = $this->kitchen($seed, 60);
            self::assertLessThanOrEqual(
                1.03 * $optimum,
                (new Solver())->solve($problem, Budget::milliseconds(1000), 1)->objective,
                "seed $seed",
            );
        }
    }

    public function testSameSeedSameAnswer(): void
    {
        [$problem] = $this->kitchen(5, 60);
        self::assertEquals(
            (new Solver())->solve($problem, Budget::milliseconds(100), 9),
            (new Solver())->solve($problem, Budget::milliseconds(100), 9),
        );
    }

    /** Every order of up to five on one machine, each as late or early as it may, is no cheaper than the bound says. */
    public function testTheBoundOfACommonDueTimeIsTheBestOrder(): void
    {
        $random = new Randomizer(new Mt19937(4));
        for ($round = 0; $round < 60; ++$round) {
            $jobs = [];
            for ($j = $random->getInt(1, 5); $j > 0; --$j) {
                $jobs[] = [$random->getInt(1, 9), $random->getInt(0, 6), $random->getInt(0, 9)];
            }
            $best = \PHP_INT_MAX;
            foreach ($this->orders(array_keys($jobs)) as $order) {
                $length = array_sum(array_column($jobs, 0));
                for ($start = -$length; $start <= 0; ++$start) {
                    $cost = 0;
                    $end = $start;
                    foreach ($order as $j) {
                        $end += $jobs[$j][0];
                        $cost += $end < 0 ? -$end * $jobs[$j][1] : $end * $jobs[$j][2];
                    }
                    $best = min($best, $cost);
                }
            }
            self::assertSame($best, CommonDue::bound($jobs, 1));
            self::assertLessThanOrEqual($best, CommonDue::bound($jobs, 2));
        }
    }

    /**
     * @param list<int> $of
     *
     * @return iterable<list<int>>
     */
    private function orders(array $of): iterable
    {
        if (\count($of) < 2) {
            yield $of;

            return;
        }
        foreach ($of as $k => $first) {
            foreach ($this->orders(array_values(array_diff_key($of, [$k => true]))) as $rest) {
                yield [$first, ...$rest];
            }
        }
    }

    /** @return array{Problem, int} */
    private function kitchen(int $seed, int $size): array
    {
        [$document, $optimum] = GeneratedKitchen::of($seed, $size);

        return [(new ProblemReader())->read(json_encode($document, \JSON_THROW_ON_ERROR)), $optimum];
    }
}
