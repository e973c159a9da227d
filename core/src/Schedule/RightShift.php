<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** A schedule of which some activities take longer: the others keep their turns and wait as long as they must, nothing begins sooner. */
final class RightShift
{
    /**
     * Not always a schedule: what must follow soon may come too late, and nobody may be there any more. The audit tells.
     *
     * @param Solution $told    whose turns are kept
     * @param Solution $planned the same with what lasts as long as it does now; nothing begins sooner
     *
     * @return Solution|null null where its turns contradict each other
     */
    public static function of(Problem $problem, Solution $told, Solution $planned): ?Solution
    {
        $order = new PlannedOrder($problem, $told);
        $starts = $ends = $placements = [];
        foreach ($order->order as $id) {
            $placement = $planned->activities[$id];
            $length = $placement->end - $placement->start;
            $start = $placement->start;
            foreach ($order->before($id) as [$from, $fromEnd, $toEnd, $lag]) {
                if (!isset($starts[$from])) {
                    return null;
                }
                $start = max($start, ($fromEnd ? $ends[$from] : $starts[$from]) + $lag - ($toEnd ? $length : 0));
            }
            $starts[$id] = $start;
            $ends[$id] = $start + $length;
            $placements[$id] = new Placement($start, $start + $length, $placement->uses);
        }

        return $planned->placing($placements);
    }
}
