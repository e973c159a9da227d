<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * The schedule with the turns and choices of a planned one whose times are nearest to it: what takes longer now pushes as little as it
 * must, and what must follow soon follows soon. A linear programme, by the same times as the search among turns.
 */
final class NearTiming
{
    /**
     * @param Solution      $planned whose turns are kept
     * @param Solution|null $former  to whose times it comes as near as it can; the planned ones unless said
     *
     * @return Solution|null null where these turns can't be kept, or something due would be late by them
     */
    public static function of(Problem $problem, Solution $planned, ?Solution $former = null): ?Solution
    {
        $network = new Network($problem);
        $told = SolutionTimeline::of($network, $planned);
        $near = $told->start;
        foreach ($network->ids as $i => $id) {
            $was = $former->activities[$id] ?? null;
            $near[$i] = null === $was ? $near[$i] : max($problem->activities[$id]->earliestStart, $was->start);
        }
        $sequences = Sequences::of(new Uses($network, TimingModel::near($network, $near)), $told);
        if (!$sequences->settle()) {
            return null;
        }
        $timeline = new Timeline($network);
        $sequences->putInto($timeline);
        $cost = (new Cost($network, $timeline))->now();

        return SolutionWriter::of($network, [$timeline->start, $timeline->end, $timeline->chosen], $cost, $planned->bound, $planned->seed);
    }
}
