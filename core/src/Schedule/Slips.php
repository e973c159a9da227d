<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * By how much each activity may come late before something misses its due time, everything after it moving along and
 * everybody keeping their turn
 * (total float in the planned order; longest gaps are left to a new plan). What may slip by nothing is on the critical chain.
 */
final class Slips
{
    /**
     * @param array<string, int> $grace minutes by which an activity may miss its due time, where the plan has put that before the moment
     *
     * @return array<string, int|null> by activity; null where nothing that is due waits for it
     */
    public static function of(Problem $problem, Solution $solution, array $grace = []): array
    {
        if (SolutionStatus::Feasible !== $solution->status) {
            return [];
        }
        $turns = new PlannedOrder($problem, $solution);
        $slips = array_fill_keys($turns->order, null);
        foreach (array_reverse($turns->order) as $id) {
            $here = $solution->activities[$id];
            $due = $problem->activities[$id]->due;
            if (null !== $due && $due->late > 0) {
                $slips[$id] = self::less($slips[$id], max(0, $due->at + ($grace[$id] ?? 0) - $here->end));
            }
            if (null === $slips[$id]) {
                continue;
            }
            foreach ($turns->before($id) as [$from, $fromEnd, $toEnd, $lag]) {
                $before = $solution->activities[$from];
                $room = ($toEnd ? $here->end : $here->start) - ($fromEnd ? $before->end : $before->start) - $lag;
                $slips[$from] = self::less($slips[$from], max(0, $room) + (int) $slips[$id]);
            }
        }

        return $slips;
    }

    private static function less(?int $a, int $b): int
    {
        return null === $a ? $b : min($a, $b);
    }
}
