<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * Builds one schedule from the end backwards: group by group in the order of the given keys, each activity as late as
 * links, resources and its due time allow. Serial schedule generation with unscheduling, after Franck, Neumann and
 * Schwindt (2001): where a longest gap or a hold leaves no room, the culprit is pushed earlier and the group is built anew;
 * where the horizon leaves none, due times are let slip by just so much. One group is placed by GroupPlacing.
 */
final class Decoder
{
    private const MOST_RESTARTS = 200;

    /** Tries to place an activity, for each activity, before a schedule under construction is given up. */
    private const MOST_TRIES_EACH = 30;

    /** The same where one group is placed into what stands already. */
    private const TRIES_OF_A_MOVE = 12;

    public readonly Timeline $timeline;

    public readonly ResourceChoices $choices;

    public readonly Failure $failure;

    private readonly PlacingWindow $window;

    private readonly GroupPlacing $placing;

    public function __construct(private readonly Network $network, private readonly Propagation $windows, private readonly Groups $groups)
    {
        $this->timeline = new Timeline($network);
        $this->choices = new ResourceChoices($network, $this->timeline);
        $this->window = new PlacingWindow($network, $windows, $groups, $this->timeline);
        $this->placing = new GroupPlacing($network, $windows, $groups, $this->timeline, $this->choices, $this->window);
        $this->failure = $this->placing->failure;
    }

    /**
     * @param array<int, float> $keys     by group: the highest that may go, goes first
     * @param array<int, int>   $caps     by activity: latest start to try, to make room for others
     * @param array<int, int>   $rotation by activity: where in its options to begin
     */
    public function decode(array $keys, array $caps, array $rotation): bool
    {
        $late = array_fill(0, max(1, \count($this->groups->members)), 0);
        $this->placing->triesLeft = 1000 + self::MOST_TRIES_EACH * $this->network->size;
        $boosted = [];
        $top = 1 + (float) max($keys ?: [0.0]);
        for ($restart = 0; $restart < self::MOST_RESTARTS && $this->placing->triesLeft > 0; ++$restart) {
            $this->timeline->clear();
            $failed = $this->placeAll($keys, $caps, $rotation, $late);
            if (null === $failed) {
                return true;
            }
            if ($this->push($this->failure->outside, $caps)) {
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
            if (!$this->push($this->failure->outsideHold, $caps) && !$this->slip($failed, $late)) {
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
        $this->placing->triesLeft = self::TRIES_OF_A_MOVE * \count($this->groups->members[$g]);

        return $this->placing->place($g, $caps, $rotation, $late);
    }

    /** Whether windows, and links to what is placed, allow it there, be it late or not. */
    public function mayStart(int $i, int $start, int $duration): bool
    {
        [$lowStart, $highStart, $lowEnd, $highEnd] = $this->window->of(
            $i,
            $this->groups->groupOf[$i],
            [],
            $this->network->latestEnd[$i] - ($this->window->dueAt[$i] ?? 0),
        );

        return $lowStart <= $start && $start <= $highStart && $lowEnd <= $start + $duration && $start + $duration <= $highEnd;
    }

    /**
     * Makes activities of other groups start earlier, as the failed one asked.
     *
     * @param array<int, int> $earlier activities that must start earlier, and when
     * @param array<int, int> $caps
     */
    private function push(array $earlier, array &$caps): bool
    {
        $pushed = false;
        foreach ($earlier as $i => $start) {
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
            if ($this->placing->hasDue($g) && $late[$g] < $horizon) {
                $late[$g] += max(1, $this->failure->deficit, intdiv($late[$g], 3));
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
            if (!\is_int($g) || !$this->placing->place($g, $caps, $rotation, $late[$g])) {
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
}
