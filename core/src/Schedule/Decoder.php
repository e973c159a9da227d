<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * Builds one schedule from the end backwards: group by group in the order of the given keys, each activity as late as
 * links, resources and its due time allow. Serial schedule generation with unscheduling, after Franck, Neumann and
 * Schwindt (2001): where a longest gap or a hold leaves no room, the culprit is pushed earlier and the group is built anew;
 * where the horizon leaves none, due times are let slip by just so much.
 */
final class Decoder
{
    private const MOST_SHIFTS = 150;
    private const MOST_DELAYS = 80;
    private const MOST_RESTARTS = 200;
    /** Tries to place an activity, for each activity, before a schedule under construction is given up. */
    private const MOST_TRIES_EACH = 30;

    /** The same where one group is placed into what stands already. */
    private const TRIES_OF_A_MOVE = 12;

    /** What one try costs beside its interval tests, in the same measure. */
    private const WORK_OF_A_TRY = 12;

    /** Groups above this size are placed by their direct links alone. */
    private const LARGEST_MATRIX = 160;

    public readonly Timeline $timeline;

    public readonly ResourceChoices $choices;

    /** After a failure: the activity that found no place. */
    public int $failedAt = -1;

    /** @var array<int, list<int>> members of a group in the order they are placed */
    private array $order = [];

    /**
     * @var array<int, array<int, array<int, int>>|null> by group: longest start-to-start path between members, by their
     *                                                   position in the group
     */
    private array $distance = [];

    /** @var array<int, int> position of an activity in its group */
    private array $position = [];

    /** @var list<int|null> due end by activity */
    private array $dueAt = [];

    /** @var array<int, bool> by group */
    private array $hasDue = [];

    /** The placed activity that bound the last one from below, or −1. */
    private int $boundBy = -1;

    private int $deficit = 0;

    private int $triesLeft = 0;

    /** @var array<int, int> after a failure: activities of other groups that must start earlier, and when */
    private array $outside = [];

    /** @var array<int, int> the same, for members of a hold that something stands in the way of */
    private array $outsideHold = [];

    public function __construct(private readonly Network $network, private readonly Propagation $windows, private readonly Groups $groups)
    {
        $this->timeline = new Timeline($network);
        $this->choices = new ResourceChoices($network, $this->timeline);
        foreach (array_values($network->problem->activities) as $i => $activity) {
            $this->dueAt[] = $activity->due?->at;
            $this->position[] = 0;
        }
        foreach ($groups->members as $g => $members) {
            $this->hasDue[$g] = false;
            foreach ($members as $p => $i) {
                $this->position[$i] = $p;
                $this->hasDue[$g] = $this->hasDue[$g] || null !== $this->dueAt[$i];
            }
        }
        $arcs = $this->arcsWithin();
        $order = new PlacingOrder($network, $windows, $groups, $this->dueAt);
        foreach ($groups->members as $g => $members) {
            $this->distance[$g] =
                \count($members) <= self::LARGEST_MATRIX ? LongestPaths::between(\count($members), $arcs[$g] ?? []) : null;
            $this->order[$g] = $order->of($g, $this->distance[$g]);
        }
    }

    /** @return array<int, list<array{int, int, int}>> arcs inside a group, between positions in it, by group */
    private function arcsWithin(): array
    {
        $within = [];
        foreach ($this->network->arcs() as [$from, $to, $weight]) {
            $g = $this->groups->groupOf[$from];
            if ($this->groups->groupOf[$to] === $g) {
                $within[$g][] = [$this->position[$from], $this->position[$to], $weight];
            }
        }

        return $within;
    }

    /**
     * @param array<int, float> $keys     by group: the highest that may go, goes first
     * @param array<int, int>   $caps     by activity: latest start to try, to make room for others
     * @param array<int, int>   $rotation by activity: where in its options to begin
     */
    public function decode(array $keys, array $caps, array $rotation): bool
    {
        $late = array_fill(0, max(1, \count($this->groups->members)), 0);
        $this->triesLeft = 1000 + self::MOST_TRIES_EACH * $this->network->size;
        $boosted = [];
        $top = 1 + (float) max($keys ?: [0.0]);
        for ($restart = 0; $restart < self::MOST_RESTARTS && $this->triesLeft > 0; ++$restart) {
            $this->timeline->clear();
            $failed = $this->placeAll($keys, $caps, $rotation, $late);
            if (null === $failed) {
                return true;
            }
            if ($this->push($caps)) {
                continue;
            }
            if (!isset($boosted[$failed])) {
                // Others took its room: next time it goes before them, with all that must be placed ahead of it.
                $boosted[$failed] = true;
                ++$top;
                foreach ([$failed, ...$this->after($failed)] as $g) {
                    $keys[$g] = $top;
                }
                continue;
            }
            $this->outside = $this->outsideHold;
            if (!$this->push($caps) && !$this->slip($failed, $late)) {
                return false;
            }
        }

        return false;
    }

    /**
     * Places one group into what stands already, as late as may be.
     *
     * @param int $late minutes after its due time that are as good as in time
     *
     * @param array<int, int> $caps
     * @param array<int, int> $rotation
     */
    public function insert(int $g, array $caps, array $rotation, int $late = 0): bool
    {
        $this->triesLeft = self::TRIES_OF_A_MOVE * \count($this->groups->members[$g]);

        return $this->placeGroup($g, $caps, $rotation, $late);
    }

    /** Whether windows, and links to what is placed, allow it there, be it late or not. */
    public function mayStart(int $i, int $start, int $duration): bool
    {
        [$lowStart, $highStart, $lowEnd, $highEnd] = $this->window(
            $i,
            $this->groups->groupOf[$i],
            [],
            $this->network->latestEnd[$i] - ($this->dueAt[$i] ?? 0),
        );

        return $lowStart <= $start && $start <= $highStart && $lowEnd <= $start + $duration && $start + $duration <= $highEnd;
    }

    /**
     * Makes activities of other groups start earlier, as the failed one asked.
     *
     * @param array<int, int> $caps
     */
    private function push(array &$caps): bool
    {
        $pushed = false;
        foreach ($this->outside as $i => $start) {
            if ($start >= $this->windows->earliest[$i] && $start < ($caps[$i] ?? \PHP_INT_MAX)) {
                $caps[$i] = $start;
                $pushed = true;
            }
        }

        return $pushed;
    }

    /**
     * What comes after the failed group must slip for it.
     *
     * @param array<int, int> $late
     */
    private function slip(int $failed, array &$late): bool
    {
        $slipped = false;
        $horizon = $this->network->problem->horizonEnd - $this->network->problem->horizonStart;
        foreach ([$failed, ...$this->after($failed)] as $g) {
            if ($this->hasDue[$g] && $late[$g] < $horizon) {
                $late[$g] += max(1, $this->deficit, intdiv($late[$g], 3));
                $slipped = true;
            }
        }

        return $slipped;
    }

    /** @return list<int> groups that start after a group, directly or through others */
    private function after(int $group): array
    {
        $seen = [$group => true];
        $stack = [$group];
        while (null !== ($at = array_pop($stack))) {
            foreach ($this->groups->successors[$at] as $next) {
                if (!isset($seen[$next])) {
                    $seen[$next] = true;
                    $stack[] = $next;
                }
            }
        }
        unset($seen[$group]);

        return array_keys($seen);
    }

    /**
     * @param array<int, float> $keys
     * @param array<int, int>   $caps
     * @param array<int, int>   $rotation
     * @param array<int, int>   $late
     *
     * @return int|null the group that found no place
     */
    private function placeAll(array $keys, array $caps, array $rotation, array $late): ?int
    {
        $waiting = [];
        $predecessors = [];
        foreach ($this->groups->successors as $g => $successors) {
            $waiting[$g] = \count($successors);
            foreach ($successors as $next) {
                $predecessors[$next][] = $g;
            }
        }
        /** @var \SplPriorityQueue<array{float, int}, int> $ready */
        $ready = new \SplPriorityQueue();
        foreach ($waiting as $g => $open) {
            if (0 === $open) {
                $ready->insert($g, [$keys[$g] ?? 0.0, -$g]);
            }
        }
        while (!$ready->isEmpty()) {
            $g = $ready->extract();
            if (!\is_int($g) || !$this->placeGroup($g, $caps, $rotation, $late[$g])) {
                return \is_int($g) ? $g : 0;
            }
            foreach ($predecessors[$g] ?? [] as $before) {
                if (0 === --$waiting[$before]) {
                    $ready->insert($before, [$keys[$before] ?? 0.0, -$before]);
                }
            }
        }

        return null;
    }

    /**
     * @param array<int, int> $caps
     * @param array<int, int> $rotation
     */
    private function placeGroup(int $g, array $caps, array $rotation, int $late): bool
    {
        $this->outside = $this->outsideHold = [];
        $exhausted = 0;
        $moves = 2 * \count($this->order[$g]);
        $tooSoon = $late - 1;
        for ($delay = 0; $delay < self::MOST_DELAYS; ++$delay) {
            if ($this->placeMembers($g, $caps, $rotation, $late, $moves, $exhausted)) {
                if ($late > $tooSoon + 1) {
                    $this->sooner($g, $caps, $rotation, $tooSoon, $late);
                }

                return true;
            }
            if ($this->triesLeft < 0 || $exhausted > 1 || [] !== $this->outside || [] !== $this->outsideHold || !$this->hasDue[$g]) {
                return false;
            }
            $tooSoon = $late;
            // Longer and longer steps: a badly squeezed feast must not creep.
            $late += max(1, $this->deficit, $delay * 2);
        }

        return false;
    }

    /**
     * A group that was placed late may fit a little less late: by halves between what failed and what went.
     *
     * @param array<int, int> $caps
     * @param array<int, int> $rotation
     */
    private function sooner(int $g, array $caps, array $rotation, int $tooSoon, int $late): void
    {
        $members = $this->groups->members[$g];
        $standing = $this->timeline->lift($members);
        while ($late - $tooSoon > 1) {
            $middle = intdiv($late + $tooSoon, 2);
            $moves = $exhausted = 0;
            if ($this->placeMembers($g, $caps, $rotation, $middle, $moves, $exhausted)) {
                $late = $middle;
                $standing = $this->timeline->lift($members);
            } else {
                $tooSoon = $middle;
            }
        }
        $this->outside = $this->outsideHold = [];
        $this->timeline->putBack($standing);
    }

    /**
     * All members no later than $late after their due time, or none.
     *
     * @phpstan-impure
     *
     * @param array<int, int> $caps
     * @param array<int, int> $rotation
     * @param int             $moves     how often the order of members may still change
     * @param int             $exhausted how often shifting came to no end
     */
    private function placeMembers(int $g, array $caps, array $rotation, int $late, int &$moves, int &$exhausted): bool
    {
        $members = $this->order[$g];
        $latest = [];
        $this->choices->forgetForbidden();
        foreach ($members as $i) {
            if (isset($caps[$i])) {
                $latest[$i] = $caps[$i];
            }
        }
        $shifts = 0;
        $this->deficit = 0;
        while (true) {
            $failed = -1;
            foreach ($members as $i) {
                --$this->triesLeft;
                if (!$this->placeActivity($i, $g, $latest, $late, $rotation[$i] ?? 0)) {
                    $failed = $i;
                    break;
                }
            }
            if ($failed < 0) {
                return true;
            }
            $this->failedAt = $failed;
            if ($this->triesLeft < 0) {
                $this->timeline->remove($members);

                return false;
            }
            $tightly = $moves > 0 ? $this->closerToItsTie($members, $failed, $g, $latest, $late) : null;
            if (null !== $tightly) {
                --$moves;
                $this->timeline->remove($members);
                $members = $this->order[$g] = $tightly;
                continue;
            }
            if ($this->forbidInTheWay($failed, $g, $latest, $late)) {
                $this->timeline->remove($members);
                continue;
            }
            $shift = ++$shifts < self::MOST_SHIFTS ? $this->shiftFor($failed, $g, $latest, $late) : null;
            $this->timeline->remove($members);
            if (null === $shift) {
                // Shifting without end is a quarrel inside the group; a later due time mends that rarely.
                $exhausted += $shifts >= self::MOST_SHIFTS ? 1 : 0;

                return false;
            }
            foreach ($shift as $i => $start) {
                if (!isset($latest[$i]) || $start < $latest[$i]) {
                    $latest[$i] = $start;
                }
            }
        }
    }

    /**
     * @param array<int, int> $latest
     */
    private function placeActivity(int $i, int $g, array $latest, int $late, int $rotation): bool
    {
        $this->timeline->work += self::WORK_OF_A_TRY;
        [$lowStart, $highStart, $lowEnd, $highEnd] = $this->window($i, $g, $latest, $late);
        $best = Timeline::NO_TIME;
        $bestChoices = [];
        $bestDuration = 0;
        [$combinations, $free] = $this->choices->combinations($i, $rotation);
        foreach ($combinations as $choices) {
            $duration = $this->choices->duration($i, $choices);
            $low = max($lowStart, $lowEnd - $duration, $best + 1);
            $high = min($highStart, $highEnd - $duration);
            if ($high < $low) {
                continue;
            }
            $t = $this->timeline->latestFit($i, $duration, $low, $high, $choices, $free);
            if ($t > $best) {
                $best = $t;
                $bestChoices = $choices + $this->timeline->settled;
                $bestDuration = $duration;
            }
        }
        if (Timeline::NO_TIME === $best) {
            return false;
        }
        $this->timeline->place($i, $best, $bestDuration, $bestChoices);

        return true;
    }

    /**
     * The order with a failed activity placed right after the one it is tied to, before looser ones take its room; null
     * when it stands there already. The better order is kept for later schedules.
     *
     * @param list<int>       $members
     * @param array<int, int> $latest
     *
     * @return list<int>|null
     */
    private function closerToItsTie(array $members, int $failed, int $g, array $latest, int $late): ?array
    {
        $this->window($failed, $g, $latest, $late);
        $tie = $this->boundBy;
        if ($tie < 0) {
            return null;
        }
        $from = (int) array_search($failed, $members, true);
        $to = (int) array_search($tie, $members, true);
        // Markers of no length take no room: standing after one is as good as standing after what it marks.
        $between = 0;
        for ($p = $to + 1; $p < $from; ++$p) {
            $between += $this->network->longest[$members[$p]];
        }
        if ($to >= $from || 0 === $between) {
            return null;
        }
        array_splice($members, $from, 1);
        array_splice($members, $to + 1, 0, [$failed]);

        return $members;
    }

    /**
     * Where members of the same group sit on what a failed activity needs, though they could sit elsewhere, they must.
     *
     * @param array<int, int> $latest
     */
    private function forbidInTheWay(int $failed, int $g, array $latest, int $late): bool
    {
        $n = $this->network;
        [$lowStart, $highStart, $lowEnd, $highEnd] = $this->window($failed, $g, $latest, $late);
        $from = max($lowStart, $lowEnd - $n->longest[$failed]);
        $to = min($highStart + $n->longest[$failed], $highEnd);
        if ($from >= $to) {
            return false;
        }
        $wanted = array_column($n->needs[$failed], 0);
        foreach ($n->holdsOf[$failed] as $h) {
            array_push($wanted, ...array_column($n->holdNeeds[$h], 0));
        }
        $forbade = false;
        foreach ($wanted as $choice) {
            foreach ($this->timeline->chosen[$choice] ?? $n->options[$choice] as $r) {
                foreach ($this->timeline->occupants($r, $from, $to) as [$other, $activity]) {
                    if (
                        $other !== $choice
                        && $this->groups->groupOf[$activity] === $g
                        && \count($n->options[$choice]) <= \count($n->options[$other])
                        && $this->choices->forbid($other, $r)
                    ) {
                        $forbade = true;
                    }
                }
            }
        }

        return $forbade;
    }

    /**
     * Which placed members must start earlier, and when at the latest, for a failed activity to fit; null when the
     * horizon itself is in the way, with the deficit noted.
     *
     * @phpstan-impure
     *
     * @param array<int, int> $latest
     *
     * @return array<int, int>|null
     */
    private function shiftFor(int $i, int $g, array $latest, int $late): ?array
    {
        $timeline = $this->timeline;
        [$lowStart, $highStart, $lowEnd, $highEnd] = $this->window($i, $g, $latest, $late);
        $culprit = $this->boundBy;
        $floor = $this->windows->earliest[$i];
        $bestFit = Timeline::NO_TIME;
        $bestLow = 0;
        $hold = null;
        [$combinations, $free] = $this->choices->combinations($i, 0);
        foreach ($combinations as $choices) {
            $duration = $this->choices->duration($i, $choices);
            $low = max($lowStart, $lowEnd - $duration);
            $high = min($highStart, $highEnd - $duration);
            if ($high < $floor) {
                $this->deficit = max($this->deficit, $floor - $high);
                continue;
            }
            $fit = $timeline->latestFit($i, $duration, $floor, $high, $choices, $free);
            if ($fit > $bestFit) {
                $bestFit = $fit;
                $bestLow = $low;
            }
            if (Timeline::NO_TIME === $fit && null !== $timeline->blockedHold && (null === $hold || $timeline->blockedHold[2] > $hold[2])) {
                $hold = $timeline->blockedHold;
            }
        }
        if (Timeline::NO_TIME !== $bestFit && $bestLow > $bestFit && $culprit >= 0) {
            $shift = [$culprit => $timeline->start[$culprit] - ($bestLow - $bestFit)];
            if ($this->groups->groupOf[$culprit] === $g) {
                return $shift;
            }
            $this->outside = $shift;

            return null;
        }
        if (null !== $hold) {
            $shift = [];
            foreach ($this->network->holdMembers[$hold[0]] as $member) {
                if ($timeline->placed[$member]) {
                    $start = $hold[2] - ($timeline->end[$member] - $timeline->start[$member]);
                    if ($this->groups->groupOf[$member] === $g) {
                        $shift[$member] = $start;
                    } else {
                        $this->outsideHold[$member] = $start;
                    }
                }
            }

            return [] === $shift || [] !== $this->outsideHold ? null : $shift;
        }
        $this->deficit = max($this->deficit, 1, intdiv($this->network->shortest[$i], 2));

        return null;
    }

    /**
     * @param array<int, int> $latest
     *
     * @return array{int, int, int, int} lowest and highest start, lowest and highest end
     */
    private function window(int $i, int $g, array $latest, int $late): array
    {
        $n = $this->network;
        $timeline = $this->timeline;
        $lowStart = $this->windows->earliest[$i];
        $highStart = $this->windows->latest[$i];
        if (isset($latest[$i]) && $latest[$i] < $highStart) {
            $highStart = $latest[$i];
        }
        $lowEnd = LongestPaths::NEVER;
        $highEnd = $n->latestEnd[$i];
        if (null !== $this->dueAt[$i] && $this->dueAt[$i] + $late < $highEnd) {
            $highEnd = $this->dueAt[$i] + $late;
        }
        $this->boundBy = -1;
        foreach ($n->linksOf[$i] as $index) {
            [$from, $to, $min, $max, $fromEnd, $toEnd] = $n->links[$index];
            if ($from === $i && $timeline->placed[$to] && $to !== $i) {
                $reference = $toEnd ? $timeline->end[$to] : $timeline->start[$to];
                if ($fromEnd) {
                    $highEnd = min($highEnd, $reference - $min);
                    if (null !== $max && $reference - $max > $lowEnd) {
                        $lowEnd = $reference - $max;
                        $this->boundBy = $to;
                    }
                } else {
                    $highStart = min($highStart, $reference - $min);
                    if (null !== $max && $reference - $max > $lowStart) {
                        $lowStart = $reference - $max;
                        $this->boundBy = $to;
                    }
                }
            } elseif ($to === $i && $timeline->placed[$from] && $from !== $i) {
                $reference = $fromEnd ? $timeline->end[$from] : $timeline->start[$from];
                if ($toEnd) {
                    if ($reference + $min > $lowEnd) {
                        $lowEnd = $reference + $min;
                        $this->boundBy = $from;
                    }
                    $highEnd = null === $max ? $highEnd : min($highEnd, $reference + $max);
                } else {
                    if ($reference + $min > $lowStart) {
                        $lowStart = $reference + $min;
                        $this->boundBy = $from;
                    }
                    $highStart = null === $max ? $highStart : min($highStart, $reference + $max);
                }
            }
        }
        $matrix = $this->distance[$g];
        if (null !== $matrix) {
            $p = $this->position[$i];
            foreach ($this->groups->members[$g] as $q => $j) {
                if (!$timeline->placed[$j]) {
                    continue;
                }
                $start = $timeline->start[$j];
                if ($matrix[$q][$p] > LongestPaths::NEVER && $start + $matrix[$q][$p] > $lowStart) {
                    $lowStart = $start + $matrix[$q][$p];
                    $this->boundBy = $j;
                }
                if ($matrix[$p][$q] > LongestPaths::NEVER && $start - $matrix[$p][$q] < $highStart) {
                    $highStart = $start - $matrix[$p][$q];
                }
            }
        }

        return [$lowStart, $highStart, $lowEnd, $highEnd];
    }
}
