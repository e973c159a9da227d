<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * Puts room where it helps: runs a schedule many times, finds the steps on which late runs had waited, plans again as if those took
 * longer, and lets them begin so much sooner. Where a longest gap forbids that, the step stays where it was. Buffers where they protect,
 * after the starting time criticality of Van de Vonder, Demeulemeester and Herroelen (2008). What is planned at the end keeps every
 * link and need of the problem as it is.
 */
final readonly class Buffering
{
    private const RUNS = 150;

    private const ROUNDS = 6;

    /** Of what a step may take longer than likely, so much is added in a round. */
    private const STEP = 0.5;

    /** Before anything is blamed: room for everything at once, by so much of what each step may take longer. */
    private const FOR_ALL = [0.75, 0.5, 0.25];

    /** Nobody is called more than so many units earlier for it. */
    private const SOONER = 60;

    /** Blamed in fewer of the runs, a step is left as it is; at the most so many are moved in a round. */
    private const LEAST_BLAME = 0.01;
    private const MOST_AT_ONCE = 8;

    /**
     * @param \Closure(RiskReport): float $shortfall by how much a report falls short of what is wished; 0: it does not
     * @param array<string, int>          $grace     as for Risk
     * @param Budget                      $budget    for each question: is there such a schedule, not later than before?
     * @param int                         $questions that may be asked
     * @param int                         $oneByOne  of a round that does not go at once, so many steps are asked by themselves
     */
    public function __construct(
        private Problem $problem,
        private \Closure $shortfall,
        private array $grace,
        private Budget $budget,
        private int $questions,
        private int $oneByOne,
    ) {
    }

    /** The surest schedule that was found, in time as the given one; that one where none was surer. */
    public function surer(Solution $solution, int $seed = 1): Solution
    {
        $best = $solution;
        $report = Risk::of($this->problem, $best, self::RUNS, $seed, $this->grace);
        $short = ($this->shortfall)($report);
        if ($short <= 0.0) {
            return $best;
        }
        $barred = [];
        [$roomy, $room, $left] = $this->forAll($best, $seed);
        $all = [] === $room ? $report : Risk::of($this->problem, $roomy, self::RUNS, $seed, $this->grace);
        $lacks = ($this->shortfall)($all);
        if ($lacks < $short) {
            [$best, $report, $short] = [$roomy, $all, $lacks];
        } else {
            $room = [];
        }
        for ($round = 0; $round < self::ROUNDS && $short > 0.0 && $left > 0; ++$round) {
            $wider = $this->wider($report, $room, $barred);
            if ($wider === $room) {
                break;
            }
            --$left;
            $found = $this->with($wider, $best, $seed);
            $room = null === $found ? $room : $wider;
            // Not all at once: then one after the other, the most blamed first.
            foreach (\array_slice(array_diff_assoc($wider, $room), 0, $this->oneByOne, true) as $id => $more) {
                $one = --$left < 0 ? null : $this->with([...$room, $id => $more], $found ?? $best, $seed);
                if (null === $one) {
                    $barred[$id] = true;
                } else {
                    $room[$id] = $more;
                    $found = $one;
                }
            }
            if (null === $found) {
                continue;
            }
            $report = Risk::of($this->problem, $found, self::RUNS, $seed, $this->grace);
            $lacks = ($this->shortfall)($report);
            if ($lacks < $short) {
                [$best, $short] = [$found, $lacks];
            }
        }

        return $best;
    }

    /** @return array{Solution, array<string, int>, int} the widest room for all that was found, and the questions that are left */
    private function forAll(Solution $solution, int $seed): array
    {
        $left = $this->questions;
        foreach (self::FOR_ALL as $share) {
            $room = [];
            foreach ($this->problem->activities as $id => $activity) {
                $more = (int) ceil($share * ($activity->duration->max - $activity->duration->likely));
                $room[$id] = min($more, $this->mayStand($id), $this->mayLast($id));
            }
            $room = array_filter($room, static fn (int $more): bool => $more > 0);
            $found = [] === $room || --$left < 0 ? null : $this->with($room, $solution, $seed);
            if (null !== $found) {
                return [$found, $room, $left];
            }
        }

        return [$solution, [], $left];
    }

    private static function begins(Solution $solution): int
    {
        return min([\PHP_INT_MAX, ...array_values(array_map(static fn (Placement $p): int => $p->start, $solution->activities))]);
    }

    /** So much longer an activity may last before what it must be over by has passed. */
    private function mayLast(string $id): int
    {
        $most = \PHP_INT_MAX;
        foreach ($this->problem->links as $link) {
            if ($link->to === $id && null !== $link->max && LinkType::EndToEnd === $link->type) {
                $most = min($most, max(0, $link->max - $link->min - $this->problem->activities[$id]->duration->likely));
            }
        }

        return $most;
    }

    /**
     * @param array<string, int>  $room   units by which activities are begun sooner
     * @param array<string, true> $barred those that may not move
     *
     * @return array<string, int>
     */
    private function wider(RiskReport $report, array $room, array $barred): array
    {
        $moved = 0;
        foreach ($report->blame as $id => $share) {
            $range = $this->problem->activities[$id]->duration;
            $more = (int) ceil(self::STEP * ($range->max - $range->likely));
            $most = min($range->max - $range->likely, $this->mayStand($id), $this->mayLast($id));
            if ($share < self::LEAST_BLAME || isset($barred[$id]) || $more < 1 || ($room[$id] ?? 0) >= $most) {
                continue;
            }
            $room[$id] = min($most, ($room[$id] ?? 0) + $more);
            if (++$moved >= self::MOST_AT_ONCE) {
                break;
            }
        }

        return $room;
    }

    /** So long may what an activity gives stand before something takes it up. */
    private function mayStand(string $id): int
    {
        $most = \PHP_INT_MAX;
        foreach ($this->problem->links as $link) {
            if ($link->from === $id && null !== $link->max && LinkType::EndToStart === $link->type) {
                $most = min($most, $link->max);
            }
        }

        return $most;
    }

    /** @param array<string, int> $room */
    private function with(array $room, Solution $near, int $seed): ?Solution
    {
        $activities = $this->problem->activities;
        foreach ($room as $id => $more) {
            $a = $activities[$id];
            $activities[$id] = new Activity(
                $id,
                new DurationRange($a->duration->min + $more, $a->duration->likely + $more, $a->duration->max + $more),
                array_map(
                    static fn (Need $n): Need => new Need(
                        $n->from,
                        $n->count,
                        $n->units,
                        array_map(static fn (int $units): int => $units + $more, $n->durations),
                        $n->sameAs,
                    ),
                    $a->needs,
                ),
                $a->earliestStart,
                $a->latestEnd,
                $a->due,
            );
        }
        $p = $this->problem;
        $longer = new Problem(
            $p->horizonStart,
            $p->horizonEnd,
            $p->unitSeconds,
            $p->resources,
            $activities,
            $p->links,
            $p->holds,
            $p->objective,
        );
        $solution = (new Solver())->solve($longer, $this->budget, $seed, $near, false);
        if (
            SolutionStatus::Feasible !== $solution->status
            || $this->isLater($solution, $near)
            || self::begins($solution) < self::begins($near) - self::SOONER
        ) {
            return null;
        }
        $placements = $solution->activities;
        foreach ($room as $id => $more) {
            $placements[$id] = new Placement($placements[$id]->start, $placements[$id]->end - $more, $placements[$id]->uses);
        }
        $short = new Solution(
            SolutionStatus::Feasible,
            $this->cost($placements),
            null === $near->bound ? null : min($near->bound, $this->cost($placements)),
            $placements,
            $solution->holds,
            $solution->seed,
            [],
            $solution->iterations,
        );

        return [] === (new Audit())->faults($this->problem, $short) ? $short : null;
    }

    /** Whether something with a due time misses it, and by more than it did. */
    private function isLater(Solution $solution, Solution $before): bool
    {
        foreach ($this->problem->activities as $id => $activity) {
            if (
                null !== $activity->due
                && $activity->due->late > 0
                && $solution->activities[$id]->end > max($activity->due->at, $before->activities[$id]->end)
            ) {
                return true;
            }
        }

        return false;
    }

    /** @param array<string, Placement> $placements */
    private function cost(array $placements): int
    {
        $cost = 0;
        foreach ($this->problem->activities as $id => $activity) {
            $cost += null === $activity->due ? 0 : $activity->due->cost($placements[$id]->end);
        }
        $of = $this->problem->objective->spanOf ?? array_keys($this->problem->activities);
        if ($this->problem->objective->span > 0 && [] !== $of) {
            $cost +=
                $this->problem->objective->span *
                (max(array_map(static fn (string $id): int => $placements[$id]->end, $of)) -
                    min(array_map(static fn (string $id): int => $placements[$id]->start, $of)));
        }

        return $cost;
    }
}
