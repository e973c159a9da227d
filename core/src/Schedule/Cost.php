<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** What a schedule under construction costs by the problem's objective. */
final readonly class Cost
{
    private const LATE_AGAINST_EARLY = 12;

    /** @var list<array{int, Due}> activities with a due time */
    private array $dues;

    /** @var array<int, true> activities that are cheap to have late */
    private array $mayPayLate;

    /** @var list<int> activities whose first start and last end make the span */
    private array $spanOf;

    /** @var list<array{int, int}> activities, and where they would best stay */
    private array $anchors;

    public function __construct(private Network $network, private Timeline $timeline, ?Solution $near = null)
    {
        $anchors = [];
        foreach (null === $near ? [] : $network->ids as $i => $id) {
            if (isset($near->activities[$id])) {
                $anchors[] = [$i, $near->activities[$id]->start];
            }
        }
        $this->anchors = $anchors;
        $dues = $mayPayLate = [];
        foreach (array_values($network->problem->activities) as $i => $activity) {
            if (null !== $activity->due) {
                $dues[] = [$i, $activity->due];
                if ($activity->due->early > 0 && $activity->due->late <= self::LATE_AGAINST_EARLY * $activity->due->early) {
                    $mayPayLate[$i] = true;
                }
            }
        }
        $this->dues = $dues;
        $this->mayPayLate = $mayPayLate;
        $this->spanOf = array_map(
            static fn (string $id): int => $network->indexOf[$id],
            $network->problem->objective->spanOf ?? $network->ids,
        );
    }

    /** Of everything, all being placed. A makespan is read in the mirror, where the last end is the first start. */
    public function now(): int
    {
        $objective = $this->network->problem->objective;
        if ($objective->makespan) {
            return -min($this->timeline->start ?: [0]);
        }
        $cost = 0;
        foreach ($this->dues as [$i, $due]) {
            $cost += $due->cost($this->timeline->end[$i]);
        }
        if ($objective->span > 0 && [] !== $this->spanOf) {
            $first = \PHP_INT_MAX;
            $last = \PHP_INT_MIN;
            foreach ($this->spanOf as $i) {
                $first = min($first, $this->timeline->start[$i]);
                $last = max($last, $this->timeline->end[$i]);
            }
            $cost += $objective->span * ($last - $first);
        }

        return $cost;
    }

    /** Whether something ends after its due time, and that costs. */
    public function isLate(): bool
    {
        foreach ($this->dues as [$i, $due]) {
            if ($due->late > 0 && $this->timeline->end[$i] > $due->at) {
                return true;
            }
        }

        return false;
    }

    /** The same, and a little for each minute that something has moved from where it was. */
    public function withMoves(): int
    {
        $cost = $this->now();
        foreach ($this->anchors as [$i, $start]) {
            $cost += abs($this->timeline->start[$i] - $start);
        }

        return $cost;
    }

    /**
     * Whether a minute late of one of these costs so little, against a minute early, that it may be worth it.
     *
     * @param list<int> $members
     */
    public function mayPayLate(array $members): bool
    {
        foreach ($members as $i) {
            if (isset($this->mayPayLate[$i])) {
                return true;
            }
        }

        return false;
    }

    /**
     * What the members of a group cost by themselves.
     *
     * @param list<int> $members
     */
    public function of(array $members): int
    {
        $in = array_flip($members);
        $cost = 0;
        foreach ($this->dues as [$i, $due]) {
            if (isset($in[$i])) {
                $cost += $due->cost($this->timeline->end[$i]);
            }
        }

        return $cost;
    }
}
