<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * A problem without its resources, as gaps between times: links, windows, holds around what belongs to them, and what the objective
 * makes of missed minutes. The times are the origin, the start of each activity, both ends of each hold and both ends of the span.
 */
final readonly class TimingModel
{
    /** Turns in which one activity may be followed, at the most. */
    private const MOST_TURNS = 40;

    public int $nodes;

    /** What is to be taken from the timing's cost to have the objective. */
    public int $constant;

    /** More than a schedule that keeps all it must can pay for a minute. */
    public int $mustKeep;

    /**
     * @var list<array{int, int, int, ?int, int, int}> from, to, length, price, and the activities whose duration adds to it and lessens
     *     it, or −1
     */
    private array $gaps;

    /**
     * @param list<array{int, int, int, ?int, int, int}> $gaps beside links, windows and holds
     * @param array<int, array{int, int}>                $room that is wished behind an activity, and what each minute of it is worth
     */
    private function __construct(public Network $network, array $gaps, int $constant, public array $room = [])
    {
        $this->nodes = self::nodesOf($network);
        $this->gaps = [...$this->links(), ...$this->windows(), ...$this->holds(), ...$gaps];
        $this->constant = $constant;
        $this->mustKeep =
            1
            + self::MOST_TURNS * array_sum(array_column($room, 1))
            + array_sum(array_map(static fn (array $gap): int => $gap[3] ?? 0, $gaps));
    }

    /** With the objective of the problem. */
    public static function of(Network $network): self
    {
        $objective = $network->problem->objective;
        $first = self::nodesOf($network) - 2;
        $gaps = [];
        if ($objective->makespan) {
            // In the mirror the last end is the first start.
            foreach ($network->ids as $i => $_) {
                $gaps[] = [$first, 1 + $i, 0, null, -1, -1];
            }
            $gaps[] = [0, $first, $network->problem->horizonEnd, 1, -1, -1];

            return new self($network, $gaps, $network->problem->horizonEnd);
        }

        return new self($network, [...self::dues($network), ...self::span($network)], 0);
    }

    /**
     * With room behind activities, where the objective counts only where that leaves it open.
     *
     * @param array<int, array{int, int}> $room   by activity: minutes that are wished behind it, and what each of them is worth
     * @param array<int, int>             $latest by activity with a due time: when it must be over
     * @param int                         $first  nothing begins before
     */
    public static function withRoom(Network $network, array $room, array $latest, int $first): self
    {
        $gaps = [...self::dues($network), ...self::span($network)];
        foreach ($network->ids as $i => $_) {
            $gaps[] = [0, 1 + $i, $first, null, -1, -1];
        }
        foreach ($latest as $i => $end) {
            $gaps[] = [1 + $i, 0, -$end, null, $i, -1];
        }
        $bare = new self($network, $gaps, 0);
        $last = $bare->nodes - 1;
        foreach ($bare->gaps as [$from, $to, $length, , $plus, $minus]) {
            if (isset($room[$plus]) && $to !== $last && $from === 1 + $plus) {
                $gaps[] = [$from, $to, $length + $room[$plus][0], $room[$plus][1], $plus, $minus];
            }
        }

        return new self($network, $gaps, 0, $room);
    }

    /**
     * As near as may be to times that were told, in whatever is due no later than due.
     *
     * @param array<int, int> $starts by activity
     */
    public static function near(Network $network, array $starts): self
    {
        $gaps = [];
        foreach (array_values($network->problem->activities) as $i => $activity) {
            $gaps[] = [0, 1 + $i, $starts[$i], 1, -1, -1];
            $gaps[] = [1 + $i, 0, -$starts[$i], 1, -1, -1];
            if (null !== $activity->due && $activity->due->late > 0) {
                $gaps[] = [1 + $i, 0, -$activity->due->at, null, $i, -1];
            }
        }

        return new self($network, $gaps, 0);
    }

    private static function nodesOf(Network $network): int
    {
        return $network->size + 2 * \count($network->holdIds) + 3;
    }

    public function start(int $activity): int
    {
        return 1 + $activity;
    }

    public function holdStart(int $hold): int
    {
        return 1 + $this->network->size + 2 * $hold;
    }

    public function holdEnd(int $hold): int
    {
        return 2 + $this->network->size + 2 * $hold;
    }

    /**
     * A timing that begins from known times.
     *
     * @param array<int, int> $starts   by activity
     * @param array<int, int> $duration by activity
     *
     * @return array{OptimalTiming, array<int, list<array{int, int, int, int}>>} and by activity the gaps its duration changes: number,
     *     length, what adds to it, what lessens it
     */
    public function timing(array $starts, array $duration): array
    {
        $timing = new OptimalTiming($this->nodes, $this->mustKeep);
        $first = $last = $starts[0] ?? 0;
        foreach ($starts as $i => $start) {
            $timing->startAt($this->start($i), $start);
            $first = min($first, $start);
            $last = max($last, $start + $duration[$i]);
        }
        foreach ($this->network->holdMembers as $h => $members) {
            $from = \PHP_INT_MAX;
            $to = \PHP_INT_MIN;
            foreach ($members as $i) {
                $from = min($from, $starts[$i]);
                $to = max($to, $starts[$i] + $duration[$i]);
            }
            $timing->startAt($this->holdStart($h), $from);
            $timing->startAt($this->holdEnd($h), $to);
        }
        $timing->startAt($this->nodes - 2, $first);
        $timing->startAt($this->nodes - 1, $last);
        $byDuration = [];
        foreach ($this->gaps as [$from, $to, $length, $price, $plus, $minus]) {
            $gap = $timing->add($from, $to, $length + ($duration[$plus] ?? 0) - ($duration[$minus] ?? 0), $price);
            foreach ([$plus, $minus] as $i) {
                if ($i >= 0) {
                    $byDuration[$i][] = [$gap, $length, $plus, $minus];
                }
            }
        }

        return [$timing, $byDuration];
    }

    /** @return list<array{int, int, int, ?int, int, int}> */
    private function links(): array
    {
        $gaps = [];
        foreach ($this->network->links as [$from, $to, $min, $max, $fromEnd, $toEnd]) {
            if ($from === $to) {
                continue;
            }
            $of = $fromEnd ? $from : -1;
            $until = $toEnd ? $to : -1;
            $gaps[] = [$this->start($from), $this->start($to), $min, null, $of, $until];
            if (null !== $max) {
                $gaps[] = [$this->start($to), $this->start($from), -$max, null, $until, $of];
            }
        }

        return $gaps;
    }

    /**
     * Of the horizon only where no link follows from it.
     *
     * @return list<array{int, int, int, ?int, int, int}>
     */
    private function windows(): array
    {
        $n = $this->network;
        // Links mostly lead on in the order of the file; a circle of them must not make each other's window.
        $onward = $n->problem->objective->makespan ? -1 : 1;
        $led = $followed = [];
        foreach ($n->links as [$from, $to, $min, , $fromEnd, $toEnd]) {
            if ($min >= 0 && $onward * ($to - $from) > 0) {
                $led[$to] = ($led[$to] ?? false) || !$toEnd;
                $followed[$from] = ($followed[$from] ?? false) || $fromEnd;
            }
        }
        $gaps = [];
        for ($i = 0; $i < $n->size; ++$i) {
            if ($n->earliestStart[$i] > $n->problem->horizonStart || !($led[$i] ?? false)) {
                $gaps[] = [0, $this->start($i), $n->earliestStart[$i], null, -1, -1];
            }
            if ($n->latestEnd[$i] < $n->problem->horizonEnd || !($followed[$i] ?? false)) {
                $gaps[] = [$this->start($i), 0, -$n->latestEnd[$i], null, $i, -1];
            }
        }

        return $gaps;
    }

    /** @return list<array{int, int, int, ?int, int, int}> */
    private function holds(): array
    {
        $gaps = [];
        foreach ($this->network->holdMembers as $h => $members) {
            foreach ($members as $i) {
                $gaps[] = [$this->holdStart($h), $this->start($i), 0, null, -1, -1];
                $gaps[] = [$this->start($i), $this->holdEnd($h), 0, null, $i, -1];
            }
        }

        return $gaps;
    }

    /** @return list<array{int, int, int, ?int, int, int}> */
    private static function dues(Network $network): array
    {
        $gaps = [];
        foreach (array_values($network->problem->activities) as $i => $activity) {
            $due = $activity->due;
            if (null !== $due && $due->early > 0) {
                $gaps[] = [0, 1 + $i, $due->at, $due->early, -1, $i];
            }
            if (null !== $due && $due->late > 0) {
                $gaps[] = [1 + $i, 0, -$due->at, $due->late, $i, -1];
            }
        }

        return $gaps;
    }

    /** @return list<array{int, int, int, ?int, int, int}> */
    private static function span(Network $network): array
    {
        $objective = $network->problem->objective;
        if (0 === $objective->span) {
            return [];
        }
        $last = self::nodesOf($network) - 1;
        $gaps = [[$last, $last - 1, 0, $objective->span, -1, -1]];
        foreach ($objective->spanOf ?? $network->ids as $id) {
            $i = $network->indexOf[$id];
            $gaps[] = [$last - 1, 1 + $i, 0, null, -1, -1];
            $gaps[] = [1 + $i, $last, 0, null, $i, -1];
        }

        return $gaps;
    }
}
