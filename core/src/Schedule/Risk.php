<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

use FeastLadle\Words\CannotBe;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * What a schedule comes to when things take longer or shorter than likely. Every duration is drawn from its triangle;
 * nothing starts before its
 * planned time, and who has a fire, pot or hand now keeps the turn (`PlannedOrder`). A start that falls outside the calendar
 * of somebody chosen for it waits until they are there again.
 */
final class Risk
{
    public const USUAL_RUNS = 1000;

    /** The chance that shall be had of being in time. */
    public const SURE = 0.95;
    public const LIKELY = 0.8;

    private readonly PlannedOrder $turns;

    private function __construct(private readonly Problem $problem, private readonly Solution $solution)
    {
        $this->turns = new PlannedOrder($problem, $solution);
    }

    /**
     * @param array<string, int> $grace by how much after its due time an activity still counts as in time, where the plan
     *                                  has put that before the moment
     *
     * @throws \DomainException when there is no schedule to try
     */
    public static function of(
        Problem $problem,
        Solution $solution,
        int $runs = self::USUAL_RUNS,
        int $seed = 1,
        array $grace = [],
    ): RiskReport {
        if (SolutionStatus::Feasible !== $solution->status) {
            throw new CannotBe('Only a schedule can be tried; there is none.');
        }
        if ($runs < 1 || $runs > 100_000) {
            throw new CannotBe(\sprintf('%d runs are outside 1 to 100000.', $runs));
        }

        return (new self($problem, $solution))->run($runs, $seed, $grace);
    }

    /** @param array<string, int> $grace */
    private function run(int $runs, int $seed, array $grace): RiskReport
    {
        $random = new Randomizer(new Mt19937($seed));
        $due = $this->problem->due();
        $lateness = array_fill_keys(array_keys($due), []);
        $blame = array_fill_keys($this->turns->order, 0);
        for ($run = 0; $run < $runs; ++$run) {
            [$ends, $causes] = $this->once($random);
            $blamed = [];
            foreach ($due as $id => $activity) {
                $late = $activity->late($ends[$id], $grace[$id] ?? 0);
                $lateness[$id][] = $late;
                // Back along what it waited for, to the steps that took longer than planned.
                for ($at = $id; $late > 0 && null !== $at; $at = $causes[$at]) {
                    $planned = $this->solution->activities[$at];
                    if ($ends[$at] > $planned->end) {
                        $blamed[$at] = true;
                    }
                }
            }
            foreach (array_keys($blamed) as $id) {
                ++$blame[$id];
            }
        }
        arsort($blame);

        return RiskReport::of($runs, $seed, $lateness, array_map(static fn (int $n): float => $n / $runs, array_filter($blame)));
    }

    /** @return array{array<string, int>, array<string, string|null>} ends, and what each waited for */
    private function once(Randomizer $random): array
    {
        $share = static fn (): float => $random->getInt(0, 1_000_000) / 1_000_000;
        $starts = [];
        $ends = [];
        $causes = [];
        foreach ($this->turns->order as $id) {
            $planned = $this->solution->activities[$id];
            $length = $this->problem->activities[$id]->duration->lasting($planned->end - $planned->start, $share);
            $start = $planned->start;
            $causes[$id] = null;
            foreach ($this->turns->before($id) as [$from, $fromEnd, $toEnd, $lag]) {
                $earliest = ($fromEnd ? $ends[$from] : $starts[$from]) + $lag - ($toEnd ? $length : 0);
                if ($earliest > $start) {
                    $start = $earliest;
                    $causes[$id] = $from;
                }
            }
            $starts[$id] = $this->turns->whenTheyAreThere($id, $start);
            $ends[$id] = $starts[$id] + $length;
        }

        return [$ends, $causes];
    }
}
