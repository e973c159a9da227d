<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** Puts as much of a former schedule into a new one as still stands, group by group; what can't stay is left out. */
final readonly class WarmStart
{
    public function __construct(private Network $network, private Propagation $windows, private Groups $groups, private Decoder $decoder)
    {
    }

    public function place(Solution $before): void
    {
        $timeline = $this->decoder->timeline;
        $timeline->clear();
        $order = array_keys($this->groups->members);
        $last = fn (int $g): int => max(
            \PHP_INT_MIN,
            ...array_map(
                fn (int $i): int => $before->activities[$this->network->ids[$i]]->start ?? \PHP_INT_MIN,
                $this->groups->members[$g],
            ),
        );
        usort($order, static fn (int $a, int $b): int => $last($b) <=> $last($a));
        foreach ($order as $g) {
            $members = $this->groups->members[$g];
            foreach ($members as $i) {
                if (!$this->keep($i, $before)) {
                    $timeline->remove($members);
                    break;
                }
            }
        }
        $this->liftWhatMustComeBefore();
    }

    /** What must come before something that has no place yet, goes where that leaves room. */
    private function liftWhatMustComeBefore(): void
    {
        $timeline = $this->decoder->timeline;
        do {
            $lifted = false;
            foreach ($this->groups->successors as $g => $successors) {
                $members = $this->groups->members[$g];
                foreach ($successors as $next) {
                    if ($timeline->placed[$members[0]] && !$timeline->placed[$this->groups->members[$next][0]]) {
                        $timeline->remove($members);
                        $lifted = true;
                    }
                }
            }
        } while ($lifted);
    }

    private function keep(int $i, Solution $before): bool
    {
        $n = $this->network;
        $timeline = $this->decoder->timeline;
        $placement = $before->activities[$n->ids[$i]] ?? null;
        if (
            null === $placement
            || $placement->start < $this->windows->earliest[$i]
            || $placement->start > $this->windows->latest[$i]
            || $placement->end > $n->latestEnd[$i]
        ) {
            return false;
        }
        $choices = [];
        foreach ($n->needs[$i] as $k => [$choice]) {
            $choices[$choice] = $placement->uses[$k] ?? [];
        }
        foreach ($n->holdsOf[$i] as $h) {
            foreach ($n->holdNeeds[$h] as $k => [$choice]) {
                $choices[$choice] = $before->holds[$n->holdIds[$h]][$k] ?? [];
            }
        }
        $open = [];
        foreach ($choices as $choice => $names) {
            $resources = array_map(static fn (string $id): int => (int) array_search($id, $n->resourceIds, true), $names);
            if (
                \count($resources) !== $n->takes[$choice]
                || [] !== array_diff($resources, $n->options[$choice])
                || !\in_array($timeline->chosen[$choice], [null, $resources], true)
            ) {
                return false;
            }
            if (null === $timeline->chosen[$choice]) {
                $open[$choice] = $resources;
            }
        }
        $duration = $this->decoder->choices->duration($i, $open);
        if (
            $duration !== $placement->end - $placement->start
            || !$this->decoder->mayStart($i, $placement->start, $duration)
            || $placement->start !== $timeline->latestFit($i, $duration, $placement->start, $placement->start, $open)
        ) {
            return false;
        }
        $timeline->place($i, $placement->start, $duration, $open);

        return true;
    }
}
