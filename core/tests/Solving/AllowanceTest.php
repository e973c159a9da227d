<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Solving;

use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\Conflict;
use FeastLadle\Schedule\ConflictKind;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\ProblemReader;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Schedule\Solver;
use FeastLadle\Solving\Allowance;
use PHPUnit\Framework\TestCase;

/** What tries may cost is counted, so that a feast has the same plan on every machine. */
final class AllowanceTest extends TestCase
{
    public function testWhatWasLookedForInVainCostsAllItWasAllowed(): void
    {
        $allowance = Allowance::milliseconds(100);
        $allowance->spend(Budget::milliseconds(90), self::problem(), self::inVain());
        self::assertFalse($allowance->isSpent());
        $allowance->spend(Budget::milliseconds(10), self::problem(), self::inVain());
        self::assertTrue($allowance->isSpent());
    }

    public function testPatienceIsPaidForOnlyWhereNothingIsFound(): void
    {
        $patient = Budget::milliseconds(30)->patient(5);
        $vain = Allowance::milliseconds(100);
        $vain->spend($patient, self::problem(), self::inVain());
        self::assertTrue($vain->isSpent(), 'thirty, five times');

        $found = Allowance::milliseconds(100);
        $late = new Solution(SolutionStatus::Feasible, 60, 0, [], [], 1, [], 10);
        $found->spend($patient, self::problem(), $late);
        self::assertFalse($found->isSpent(), 'thirty');
    }

    public function testProofsAndBestPlansCostNextToNothing(): void
    {
        $allowance = Allowance::milliseconds(100);
        $best = (new Solver())->solve(self::problem(), Budget::milliseconds(50));
        self::assertSame($best->bound, $best->objective);
        $none = Solution::none(SolutionStatus::Infeasible, 1, [new Conflict(ConflictKind::Budget, 'never', [])]);
        for ($i = 0; $i < 50; ++$i) {
            $allowance->spend(Budget::milliseconds(500), self::problem(), $best);
            $allowance->spend(Budget::milliseconds(500), self::problem(), $none);
        }
        self::assertFalse($allowance->isSpent());
    }

    public function testAPartIsSpentOfTheWhole(): void
    {
        $whole = Allowance::milliseconds(1000);
        $part = $whole->part(0.2);
        $part->spend(Budget::milliseconds(300), self::problem(), self::inVain());
        self::assertTrue($part->isSpent());
        self::assertFalse($whole->isSpent());
        $whole->spend(Budget::milliseconds(750), self::problem(), self::inVain());
        self::assertTrue($whole->isSpent());
        self::assertTrue($whole->part(1.0)->isSpent(), 'nothing is left to take a part of');
    }

    public function testALimitOnlyEverMakesItLess(): void
    {
        $allowance = Allowance::milliseconds(500);
        $allowance->limit(5000);
        $allowance->spend(Budget::milliseconds(600), self::problem(), self::inVain());
        self::assertTrue($allowance->isSpent());

        $endless = Allowance::boundless();
        $endless->spend(Budget::milliseconds(1_000_000), self::problem(), self::inVain());
        self::assertFalse($endless->isSpent());
        $endless->limit(10);
        self::assertTrue($endless->isSpent());
    }

    private static function inVain(): Solution
    {
        return Solution::none(SolutionStatus::Unknown, 1, [new Conflict(ConflictKind::Budget, 'nothing was found', [])]);
    }

    private static function problem(): Problem
    {
        return (new ProblemReader())->read(
            '{"format":"feast-ladle/schedule-problem","version":1,"horizon":[0,60],"resources":[],"activities":[{"id":"a","duration":5}]}',
        );
    }
}
