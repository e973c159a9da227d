<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** What may be done when a member of a group finds no place: another order, another resource for who is in the way, an earlier start. */
final readonly class PlacingRepair
{
    public function __construct(
        private Network $network,
        private Propagation $windows,
        private Groups $groups,
        private Timeline $timeline,
        private ResourceChoices $choices,
        private PlacingWindow $window,
    ) {
    }

    /**
     * The order with a failed activity placed right after the one it is tied to, before looser ones take its room; null
     * when it stands there already.
     *
     * @param list<int>       $members
     * @param array<int, int> $latest
     *
     * @return list<int>|null
     */
    public function closerToItsTie(array $members, int $failed, int $g, array $latest, int $late): ?array
    {
        $tie = $this->window->of($failed, $g, $latest, $late)[4];
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
    public function forbidInTheWay(int $failed, int $g, array $latest, int $late): bool
    {
        $n = $this->network;
        [$lowStart, $highStart, $lowEnd, $highEnd] = $this->window->of($failed, $g, $latest, $late);
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
    public function shiftFor(int $i, int $g, array $latest, int $late, Failure $failure): ?array
    {
        $timeline = $this->timeline;
        [$lowStart, $highStart, $lowEnd, $highEnd, $culprit] = $this->window->of($i, $g, $latest, $late);
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
                $failure->deficit = max($failure->deficit, $floor - $high);
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
            $failure->outside = $shift;

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
                        $failure->outsideHold[$member] = $start;
                    }
                }
            }

            return [] === $shift || [] !== $failure->outsideHold ? null : $shift;
        }
        $failure->deficit = max($failure->deficit, 1, intdiv($this->network->shortest[$i], 2));

        return null;
    }
}
