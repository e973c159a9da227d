<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * Places one group into what stands already, its members in an order that changes where one has to come nearer to its tie; later and later
 * after its due time where it does not fit, and then as little late as goes.
 */
final class GroupPlacing
{
    private const MOST_SHIFTS = 150;
    private const MOST_DELAYS = 80;

    /** What one try costs beside its interval tests, in the same measure. */
    private const WORK_OF_A_TRY = 12;

    public readonly Failure $failure;

    /** Tries to place an activity that are left. */
    public int $triesLeft = 0;

    private readonly PlacingRepair $repair;

    /** @var array<int, list<int>> members of a group in the order they are placed; the better order is kept for later schedules */
    private array $order = [];

    public function __construct(
        private readonly Network $network,
        Propagation $windows,
        private readonly Groups $groups,
        private readonly Timeline $timeline,
        private readonly ResourceChoices $choices,
        private readonly PlacingWindow $window,
    ) {
        $this->failure = new Failure();
        $this->repair = new PlacingRepair($network, $windows, $groups, $timeline, $choices, $window);
        $order = new PlacingOrder($network, $windows, $groups, $window->dueAt);
        foreach (array_keys($groups->members) as $g) {
            $this->order[$g] = $order->of($g, $window->distance[$g]);
        }
    }

    /** Whether a member of the group has a due time. */
    public function hasDue(int $g): bool
    {
        foreach ($this->groups->members[$g] as $i) {
            if (null !== $this->window->dueAt[$i]) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param array<int, int> $caps
     * @param array<int, int> $rotation
     */
    public function place(int $g, array $caps, array $rotation, int $late): bool
    {
        $this->failure->asksNobody();
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
            if ($this->triesLeft < 0 || $exhausted > 1 || $this->failure->asksOthers() || !$this->hasDue($g)) {
                return false;
            }
            $tooSoon = $late;
            // Longer and longer steps: a badly squeezed feast must not creep.
            $late += max(1, $this->failure->deficit, $delay * 2);
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
        $this->failure->asksNobody();
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
        $this->failure->deficit = 0;
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
            $this->failure->at = $failed;
            if ($this->triesLeft < 0) {
                $this->timeline->remove($members);

                return false;
            }
            $tightly = $moves > 0 ? $this->repair->closerToItsTie($members, $failed, $g, $latest, $late) : null;
            if (null !== $tightly) {
                --$moves;
                $this->timeline->remove($members);
                $members = $this->order[$g] = $tightly;
                continue;
            }
            if ($this->repair->forbidInTheWay($failed, $g, $latest, $late)) {
                $this->timeline->remove($members);
                continue;
            }
            $shift = ++$shifts < self::MOST_SHIFTS ? $this->repair->shiftFor($failed, $g, $latest, $late, $this->failure) : null;
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
        $this->timeline->work += self::WORK_OF_A_TRY + intdiv(\count($this->groups->members[$g]), 2);
        [$lowStart, $highStart, $lowEnd, $highEnd] = $this->window->of($i, $g, $latest, $late);
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
}
