<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Schedule;

use FeastLadle\Schedule\Audit;
use FeastLadle\Schedule\NearTiming;
use FeastLadle\Schedule\Placement;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\ProblemReader;
use FeastLadle\Schedule\RightShift;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Schedule\SolutionTimeline;
use PHPUnit\Framework\TestCase;

/** Milk, then what must follow it within two minutes, and somebody else's work on the same fire after both. */
final class NearTimingTest extends TestCase
{
    public function testWhatWaitsWaitsInItsTurnAndNothingBeginsSooner(): void
    {
        // By hand: milk takes 10 in place of 6, so skim begins at 10 and ends at 15; the fire is free for nuts then, planned at 14.
        $problem = $this->problem(10);
        $shifted = RightShift::of($problem, $this->planned(6), $this->planned(10));
        self::assertNotNull($shifted);
        self::assertSame([0, 10, 15, 30], $this->starts($shifted));
        $shifted = $shifted->costing(SolutionTimeline::objective($problem, $shifted));
        self::assertSame([], (new Audit())->faults($problem, $shifted));
    }

    public function testWhatMustFollowSoonIsWaitedForByWhatComesBeforeIt(): void
    {
        // Another begins the tea at 12: skim is on at 10, and tea must follow within 2 of its end at 15. By turns alone tea stays at 30,
        // so skim comes to end at 28, as late as that needs and no later.
        $problem = $this->problem(10, 2);
        $shifted = RightShift::of($problem, $this->planned(6), $this->planned(10));
        self::assertNotNull($shifted);
        self::assertNotSame([], (new Audit())->faults($problem, $shifted), 'tea would come too late after it');
        $near = NearTiming::of($problem, $shifted);
        self::assertNotNull($near);
        self::assertSame([], (new Audit())->faults($problem, $near));
        [, $skim, , $tea] = $this->starts($near);
        self::assertLessThanOrEqual($skim + 5 + 2, $tea);
    }

    public function testWhatCanNotBeKeptByTheseTurnsIsSaid(): void
    {
        // Tea is due at 40 and lasts 5; milk that takes 60 leaves no way.
        self::assertNull(NearTiming::of($this->problem(60, 2), $this->planned(60)));
    }

    /** @return list<int> of milk, skim, nuts, tea */
    private function starts(Solution $solution): array
    {
        return array_map(static fn (string $id): int => $solution->activities[$id]->start, ['milk', 'skim', 'nuts', 'tea']);
    }

    private function planned(int $milk): Solution
    {
        $on = static fn (int $start, int $length, string $r): Placement => new Placement($start, $start + $length, [[$r]]);

        return new Solution(SolutionStatus::Feasible, 0, 0, [
            'milk' => $on(0, $milk, 'fire'),
            'skim' => $on(6, 5, 'fire'),
            'nuts' => $on(14, 4, 'fire'),
            'tea' => $on(30, 5, 'ring'),
        ], [], 1, [], 0);
    }

    private function problem(int $milk, ?int $within = null): Problem
    {
        $activity = static fn (string $id, int $length, string $on): array => [
            'id' => $id,
            'duration' => $length,
            'needs' => [['from' => [$on]]],
        ];

        return (new ProblemReader())->read(json_encode([
            'format' => 'feast-ladle/schedule-problem',
            'version' => 1,
            'horizon' => [0, 100],
            'resources' => [['id' => 'fire'], ['id' => 'ring']],
            'activities' => [
                $activity('milk', $milk, 'fire'),
                $activity('skim', 5, 'fire'),
                $activity('nuts', 4, 'fire'),
                $activity('tea', 5, 'ring') + ['due' => ['at' => 40, 'early' => 1, 'late' => 100]],
            ],
            'links' => [
                ['from' => 'milk', 'to' => 'skim'],
                ['from' => 'skim', 'to' => 'tea'] + (null === $within ? [] : ['max' => $within]),
            ],
        ], \JSON_THROW_ON_ERROR));
    }
}
