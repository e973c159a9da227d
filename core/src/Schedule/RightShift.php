<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** A schedule of which some activities take longer: the others keep their turns and wait as long as they must, nothing begins sooner. */
final class RightShift
{
    /**
     * Not always a schedule: what must follow soon may come too late, and nobody may be there any more. The audit tells.
     *
     * @param Solution $planned whose activities last as long as they do now
     */
    public static function of(Problem $problem, Solution $planned): Solution
    {
        $order = new PlannedOrder($problem, $planned);
        $starts = $ends = $placements = [];
        foreach ($order->order as $id) {
            $placement = $planned->activities[$id];
            $length = $placement->end - $placement->start;
            $start = $placement->start;
            foreach ($order->before($id) as [$from, $fromEnd, $toEnd, $lag]) {
                $start = max($start, ($fromEnd ? $ends[$from] : $starts[$from]) + $lag - ($toEnd ? $length : 0));
            }
            $starts[$id] = $start;
            $ends[$id] = $start + $length;
            $placements[$id] = new Placement($start, $start + $length, $placement->uses);
        }

        return $planned->placing($placements);
    }
}
