<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Frozen;

use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\CommonDue;
use FeastLadle\Schedule\Conflict;
use FeastLadle\Schedule\Network;
use FeastLadle\Schedule\Placement;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\ProblemReader;
use FeastLadle\Schedule\Progress;
use FeastLadle\Schedule\Propagation;
use FeastLadle\Schedule\Replan;
use FeastLadle\Schedule\Risk;
use FeastLadle\Schedule\Slips;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Schedule\Solver;
use FeastLadle\Tests\Schedule\GeneratedKitchen;
use FeastLadle\Tests\Schedule\RandomProblem;
use FeastLadle\Tests\Schedule\RandomShop;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * How the search goes on many small problems of every kind, a line each, as it was put down: another order of two moves, a limit that takes
 * in its edge, is seen here at once. Whether the answers are sound and good is asked in the tests of the room. FREEZE=1 writes them anew.
 */
final class SearchFrozenTest extends TestCase
{
    /** Problems to a test, so that a fault is seen soon. */
    private const TOGETHER = 15;

    /** @return iterable<array{int}> */
    public static function six(): iterable
    {
        yield from [[0], [1], [2], [3], [4], [5]];
    }

    /** @return iterable<array{int}> */
    public static function three(): iterable
    {
        yield from [[0], [1], [2]];
    }

    #[DataProvider('six')]
    public function testMixedProblems(int $part): void
    {
        $this->compare('mixed', $part, fn (int $seed): string => $this->mixed(RandomProblem::document($seed), $seed));
    }

    #[DataProvider('three')]
    public function testLargeProblems(int $part): void
    {
        $this->compare('large', $part, fn (int $seed): string => $this->mixed(RandomProblem::document(500 + $seed, 26 + $seed % 9), $seed));
    }

    #[DataProvider('six')]
    public function testSharedThings(int $part): void
    {
        $this->compare('shared', $part, fn (int $seed): string => $this->mixed(RandomProblem::shared($seed), $seed));
    }

    /** Costs of some jobs that are due together, on one to four machines: the bound of each set. */
    public function testBoundsOfACommonDueTime(): void
    {
        $lines = '';
        $random = new Randomizer(new Mt19937(7));
        for ($n = 0; $n < 150; ++$n) {
            $jobs = [];
            for ($j = $random->getInt(1, $n < 140 ? 7 : 14); $j > 0; --$j) {
                $jobs[] = [$random->getInt(1, 60), $random->getInt(0, 9), $random->getInt(1, 60)];
            }
            $lines .= CommonDue::bound($jobs, max(1, $random->getInt(1, 4)))."\n";
        }
        Frozen::compare('common-due', $lines);
    }

    #[DataProvider('three')]
    public function testKitchens(int $part): void
    {
        $this->compare('kitchen', $part, $this->kitchen(...));
    }

    #[DataProvider('three')]
    public function testShops(int $part): void
    {
        $this->compare('shop', $part, function (int $seed): string {
            return $this->told((new Solver())->solve(RandomShop::of($seed), Budget::iterations(40 + 20 * ($seed % 9)), $seed));
        });
    }

    #[DataProvider('six')]
    public function testWindows(int $part): void
    {
        $this->compare('windows', $part, $this->windows(...));
    }

    #[DataProvider('six')]
    public function testReplanning(int $part): void
    {
        $this->compare('replan', $part, $this->replan(...));
    }

    #[DataProvider('three')]
    public function testChances(int $part): void
    {
        $this->compare('chances', $part, $this->chances(...));
    }

    /** @param \Closure(int): string $of */
    private function compare(string $kind, int $part, \Closure $of): void
    {
        $lines = '';
        for ($seed = self::TOGETHER * $part + 1; $seed <= self::TOGETHER * ($part + 1); ++$seed) {
            $lines .= $seed.': '.$of($seed)."\n";
        }
        Frozen::compare("$kind-$part", $lines);
    }

    /** @param array<string, mixed> $document */
    private function mixed(array $document, int $seed): string
    {
        $problem = $this->problem($document);
        $quick = (new Solver())->solve($problem, Budget::iterations($seed % 5), $seed);
        $long = (new Solver())->solve($problem, Budget::milliseconds(1 + ($seed % 4))->patient(1 + ($seed % 3)), $seed);

        return $this->told($quick).' | '.$this->told($long);
    }

    private function kitchen(int $seed): string
    {
        $problem = $this->problem(GeneratedKitchen::of($seed, 40 + $seed)[0]);
        $first = (new Solver())->solve($problem, Budget::iterations(1 + ($seed % 9)), $seed);
        $again = (new Solver())->solve($problem, Budget::iterations(6), $seed + 1, $first, 0 === $seed % 2);

        return $this->told($first).' | '.$this->told($again);
    }

    private function windows(int $seed): string
    {
        $problem = $this->problem(RandomProblem::document(900 + $seed, 8 + ($seed % 30)));
        $windows = new Propagation(new Network($problem));

        return json_encode(
            [
                $windows->earliest,
                $windows->latest,
                \count($windows->arcs),
                substr(hash('xxh3', serialize($windows->arcs)), 0, 8),
                array_map(static fn (Conflict $c): string => $c->kind->value.': '.$c->text, $windows->conflicts),
            ],
            \JSON_THROW_ON_ERROR,
        );
    }

    private function replan(int $seed): string
    {
        $problem = $this->problem(RandomProblem::document(300 + $seed));
        $before = (new Solver())->solve($problem, Budget::iterations(4), $seed);
        if (SolutionStatus::Feasible !== $before->status) {
            return $this->told($before);
        }
        $now = 80 * ($seed % 10);
        $done = $running = [];
        foreach (array_keys($before->activities) as $i => $id) {
            $placement = $before->activities[$id];
            $late = [0, 0, 7, 19][($i + $seed) % 4];
            if ($placement->end + $late <= $now) {
                $done[$id] = [$placement->start, $placement->end + $late];
            } elseif ($placement->start + $late <= $now) {
                $running[$id] = $placement->start + $late;
            }
        }
        $replan = Replan::of($problem, $before, new Progress($now, $done, $running));
        $left = (new Solver())->solve($replan->problem, Budget::iterations(4), $seed, $replan->near);

        return implode('; ', $replan->letGo).' | '.$this->told($replan->whole($left));
    }

    private function chances(int $seed): string
    {
        $problem = $this->problem(RandomProblem::document(100 + $seed));
        $solution = (new Solver())->solve($problem, Budget::iterations(2), $seed);
        if (SolutionStatus::Feasible !== $solution->status) {
            return $this->told($solution);
        }
        $grace = array_map(static fn (Placement $p): int => $p->start % 7, $solution->activities);
        $report = Risk::of($problem, $solution, 60, $seed, grace: $grace);

        return json_encode(
            [$report->chances, $report->earlier, $report->blame, Slips::of($problem, $solution, $grace)],
            \JSON_THROW_ON_ERROR,
        );
    }

    private function told(Solution $solution): string
    {
        return \sprintf(
            '%s %s/%s after %d%s %s',
            $solution->status->value,
            $solution->objective ?? '-',
            $solution->bound ?? '-',
            $solution->iterations,
            implode('', array_map(static fn (Conflict $c): string => ', '.$c->text, $solution->conflicts)),
            substr(hash('xxh3', serialize([$solution->activities, $solution->holds])), 0, 8),
        );
    }

    /** @param array<string, mixed> $document */
    private function problem(array $document): Problem
    {
        return (new ProblemReader())->read(json_encode($document, \JSON_THROW_ON_ERROR));
    }
}
