<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Schedule\LinkType;
use FeastLadle\Schedule\Placement;
use FeastLadle\Schedule\PlannedOrder;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\Solution;

/** What comes of it when everything that is late is simply waited for, in the order in force. */
final readonly class InTurn
{
    /** What a wait may be too long, as a share of what it may last, and in minutes; kitchen estimates. */
    private const SHARE_BORNE = 0.6;
    private const LEAST_BORNE = 10.0;
    private const MOST_BORNE = 35.0;

    /**
     * @param int   $late   minutes by which what is due comes late, all together
     * @param float $beyond minutes by which a wait is longer than can be borne
     */
    /** @param array<string, Placement> $placements where everything comes to stand, by activity */
    private function __construct(public int $late, public float $beyond, public array $placements)
    {
    }

    /**
     * @param Solution                       $after   what would be done otherwise
     * @param array<string, array{int, int}> $over    minutes of what is done
     * @param array<string, array{int, int}> $running since when, and when it is likely to end
     * @param array<string, int>             $margins minutes after its due time in which nothing is late yet
     */
    public static function of(
        Problem $problem,
        Solution $inForce,
        Solution $after,
        array $over,
        array $running,
        int $now,
        array $margins,
    ): self {
        $placements = $inForce->activities;
        foreach ($problem->links as $link) {
            // A marker goes with the step whose start it marks.
            $start = ($over[$link->from] ?? $running[$link->from] ?? null)[0] ?? null;
            if (null !== $start && !isset($running[$link->to]) && LinkType::StartToStart === $link->type && 0 === $link->max) {
                $over[$link->to] ??= [$start, $start + $placements[$link->to]->end - $placements[$link->to]->start];
            }
        }
        // Turns and ties are those that were told, whatever the clock made of them.
        $order = new PlannedOrder($problem, $inForce);
        foreach ([...$over, ...$running] as $id => [$start, $end]) {
            $placements[$id] = new Placement($start, max($start, $end), $placements[$id]->uses);
        }
        $starts = $ends = [];
        foreach ($order->order as $id) {
            if (isset($over[$id]) || isset($running[$id])) {
                [$starts[$id], $ends[$id]] = [$placements[$id]->start, $placements[$id]->end];
                continue;
            }
            $length = $placements[$id]->end - $placements[$id]->start;
            $start = max($placements[$id]->start, $now);
            foreach ($order->before($id) as [$from, $fromEnd, $toEnd, $lag]) {
                $start = max($start, ($fromEnd ? $ends[$from] : $starts[$from]) + $lag - ($toEnd ? $length : 0));
            }
            $starts[$id] = $order->whenTheyAreThere($id, $start);
            $ends[$id] = $starts[$id] + $length;
            $placements[$id] = new Placement($starts[$id], $ends[$id], $placements[$id]->uses);
        }
        $late = 0;
        $beyond = 0.0;
        foreach ($problem->due() as $id => $activity) {
            $late += $activity->late($ends[$id], $margins[$id] ?? 0);
        }
        foreach ($problem->links as $link) {
            if (null !== $link->max) {
                $gap = ($link->type->toEnd() ? $ends : $starts)[$link->to] - ($link->type->fromEnd() ? $ends : $starts)[$link->from];
                $then = $after->activities;
                $other = ($link->type->toEnd() ? $then[$link->to]->end : $then[$link->to]->start)
                    - ($link->type->fromEnd() ? $then[$link->from]->end : $then[$link->from]->start);
                // What is too long whatever is done now is no reason to do otherwise.
                $beyond = max($beyond, $gap - max($link->max, $other) - self::borne($link->max));
            }
        }

        return new self($late, $beyond, $placements);
    }

    /** Minutes that a wait may be too long before everything is told anew: more where much is kept long anyway. */
    private static function borne(int $longest): float
    {
        return max(self::LEAST_BORNE, min(self::MOST_BORNE, self::SHARE_BORNE * $longest));
    }

    /**
     * Minutes by which a schedule is late where everything comes as it says.
     *
     * @param array<string, int> $margins
     */
    public static function lateness(Problem $problem, Solution $solution, array $margins): int
    {
        $late = 0;
        foreach ($problem->due() as $id => $activity) {
            $late += $activity->late($solution->activities[$id]->end, $margins[$id] ?? 0);
        }

        return $late;
    }
}
