<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * Puts room where it helps: runs a schedule many times, finds the steps on which late runs had waited, and moves what is before them, as
 * little as is enough; where the turns leave too little room, they are changed for more. Buffers where they protect, after the starting
 * time criticality of Van de Vonder, Demeulemeester and Herroelen (2008). Every link and need of the problem is kept, and nothing with a
 * due time ends later than it did or must.
 */
final readonly class Buffering
{
    /** Tries of a schedule, and of one that seems sure enough, in other futures. */
    private const RUNS = 150;
    private const RUNS_TO_BE_SURE = 600;

    /** Of what each step may take longer than likely, so much is tried as room behind it; with turns that change, so much. */
    private const SHARES = [0.25, 0.5, 0.75, 1.0];
    private const SHARE_WITH_TURNS = 0.75;

    /** What a minute of room is worth in the measure of the due times, and how much more behind a step that is blamed in all runs. */
    private const WORTH = 20;
    private const WORTH_OF_BLAME = 100;

    /** Rounds in which turns are changed, and the work of one for each activity; with less, nothing comes of it. */
    private const ROUNDS = 8;
    private const WORK_OF_A_ROUND = 3_000;

    /** Nobody is called more than so many units earlier for it. */
    private const SOONER = 60;

    /**
     * @param \Closure(RiskReport): float $shortfall by how much a report falls short of what is wished; 0: it does not
     * @param array<string, int>          $grace     as for Risk
     * @param Budget                      $budget    for changing turns
     */
    public function __construct(private Problem $problem, private \Closure $shortfall, private array $grace, private Budget $budget)
    {
    }

    /** The surest schedule that was found, in time as the given one; that one where none was surer. */
    public function surer(Solution $solution, int $seed = 1): Solution
    {
        $report = Risk::of($this->problem, $solution, self::RUNS, $seed, $this->grace);
        $short = ($this->shortfall)($report);
        if ($short <= 0.0) {
            return $solution;
        }
        $starts = array_map(static fn (Placement $p): int => $p->start, $solution->activities);
        $earliest = min($starts ?: [0]) - self::SOONER;
        $turned = false;
        [$best, $least] = $this->moved($solution, $earliest, $short, $seed);
        $worth = [];
        $report = null;
        $rounds = min(self::ROUNDS, intdiv($this->budget->work, self::WORK_OF_A_ROUND * max(1, \count($this->problem->activities))));
        for ($round = 1; $round <= $rounds && $least > 0.0; ++$round) {
            $report ??= Risk::of($this->problem, $best, self::RUNS, $seed, $this->grace);
            foreach ($report->blame as $id => $share) {
                $worth[$id] = ($worth[$id] ?? 0) + (int) (self::WORTH_OF_BLAME * $share);
            }
            $work = intdiv($this->budget->work, $rounds);
            $found = $this->with($best, $earliest, self::SHARE_WITH_TURNS, $worth, $work, $seed + $round);
            $lacks = null === $found ? $least : $this->lacks($found, $seed);
            if (null !== $found && $lacks < $least) {
                [$best, $least] = [$found, $lacks];
                $turned = true;
                $report = null;
            }
        }
        if ($turned && $least <= 0.0) {
            [$nearer, $lacks] = $this->moved($best, $earliest, \PHP_FLOAT_MAX, $seed);
            $best = $lacks <= 0.0 ? $nearer : $best;
        }

        return $least < $short ? $best : $solution;
    }

    /**
     * With as little room as is enough, its turns kept; with the most helpful where none is.
     *
     * @return array{Solution, float} and by how much it falls short
     */
    private function moved(Solution $solution, int $earliest, float $short, int $seed): array
    {
        $best = $solution;
        $least = $short;
        foreach (self::SHARES as $share) {
            $found = $this->with($solution, $earliest, $share, [], 0, $seed);
            if (null === $found) {
                break;
            }
            $lacks = $this->lacks($found, $seed);
            if ($lacks < $least) {
                [$best, $least] = [$found, $lacks];
            }
            if ($least <= 0.0) {
                break;
            }
        }

        return [$best, $least];
    }

    private function lacks(Solution $solution, int $seed): float
    {
        $lacks = ($this->shortfall)(Risk::of($this->problem, $solution, self::RUNS, $seed, $this->grace));

        return $lacks > 0.0
            ? $lacks
            : ($this->shortfall)(Risk::of($this->problem, $solution, self::RUNS_TO_BE_SURE, $seed + 1, $this->grace));
    }

    /**
     * @param int                $earliest nothing begins before
     * @param array<string, int> $worth    what a minute behind an activity is worth beside the usual
     * @param int                $work     for changing turns; 0: they stay
     */
    private function with(Solution $solution, int $earliest, float $share, array $worth, int $work, int $seed): ?Solution
    {
        $room = [];
        foreach ($this->problem->activities as $id => $activity) {
            $more = (int) ceil($share * ($activity->duration->max - $activity->duration->likely));
            if ($more > 0) {
                $room[$id] = [$more, self::WORTH + ($worth[$id] ?? 0)];
            }
        }
        $found = (new RoomTiming($this->problem, $solution, $earliest))->with($room, $work, $seed);

        return null !== $found && [] === (new Audit())->faults($this->problem, $found) ? $found : null;
    }
}
