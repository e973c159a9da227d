<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Schedule;

use FeastLadle\Schedule\Audit;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\Placement;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\ProblemReader;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\Solver;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** An audit that could not fail would prove nothing: each rule is broken once. */
final class AuditTest extends TestCase
{
    private Problem $problem;

    private Solution $sound;

    protected function setUp(): void
    {
        $this->problem = (new ProblemReader())->read((string) file_get_contents(__DIR__.'/fixtures/example.json'));
        $this->sound = (new Solver())->solve($this->problem, Budget::iterations(20));
        self::assertSame([], (new Audit())->faults($this->problem, $this->sound));
    }

    /** @return iterable<string, array{string, Placement, string}> */
    public static function broken(): iterable
    {
        $uses = [['burner-a'], ['cook-1']];
        yield 'too short' => ['merge', new Placement(630, 639, $uses), 'lasts 9, not 10'];
        yield 'longer on the other burner' => ['roast', new Placement(612, 630, [['burner-b'], ['cook-1']]), 'lasts 18, not 24'];
        yield 'after its latest end' => ['merge', new Placement(695, 705, $uses), 'ends at 705, after 700'];
        yield 'outside the shift' => ['roast', new Placement(235, 253, $uses), 'when it is not available'];
        yield 'a gap too long' => ['merge', new Placement(640, 650, $uses), 'gap 10'];
        yield 'both at once' => ['roast', new Placement(625, 643, $uses), 'in use at'];
        yield 'a burner that was not offered' => ['roast', new Placement(612, 630, [['pot-wide'], ['cook-1']]), 'not on offer'];
        yield 'not the same burner' => ['merge', new Placement(630, 640, [['burner-b'], ['cook-1']]), 'not the same as roast'];
        yield 'nobody' => ['merge', new Placement(630, 640, [['burner-a'], []]), 'uses 0 resources'];
    }

    #[DataProvider('broken')]
    public function testEachBrokenRuleIsNoticed(string $activity, Placement $placement, string $says): void
    {
        $faults = (new Audit())->faults($this->problem, $this->with([$activity => $placement] + $this->sound->activities));
        self::assertStringContainsString($says, implode('; ', $faults));
    }

    public function testAFalseObjectiveOrBoundIsNoticed(): void
    {
        $s = $this->sound;
        $wrong = new Solution($s->status, 27, 30, $s->activities, $s->holds, 1, [], 0);
        $said = implode('; ', (new Audit())->faults($this->problem, $wrong));
        self::assertStringContainsString('the objective is 28, not 27', $said);
        self::assertStringContainsString('the bound 30 is above', $said);
    }

    public function testAMissingTurnoverIsNoticed(): void
    {
        $problem = (new ProblemReader())->read(
            '{"format":"feast-ladle/schedule-problem","version":1,"horizon":[0,50],"resources":[{"id":"p","turnover":6}],'
            .'"activities":[{"id":"a","duration":10,"needs":[{"from":["p"]}]},{"id":"b","duration":10,"needs":[{"from":["p"]}]}]}',
        );
        $solution = new Solution(
            $this->sound->status,
            0,
            null,
            ['a' => new Placement(0, 10, [['p']]), 'b' => new Placement(15, 25, [['p']])],
            [],
            1,
            [],
            0,
        );
        self::assertSame(['p needs 6 between a and b'], (new Audit())->faults($problem, $solution));
    }

    /** @param array<string, Placement> $activities */
    private function with(array $activities): Solution
    {
        $s = $this->sound;

        return new Solution($s->status, $s->objective, $s->bound, $activities, $s->holds, $s->seed, [], 0);
    }
}
