<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * A schedule as its turns: what was chosen, who follows whom at each place, and the best times for that.
 *
 * Where several uses go beside each other, their units are handed on in chains (Policella and others 2004): each use, in the place's
 * order, takes them from those that end soonest before it. A copy shares nothing that changes.
 */
final class Sequences
{
    private OptimalTiming $timing;

    /** @var array<int, list<int>> resources by choice */
    private array $chosen;

    /** @var array<int, int> by activity */
    private array $duration;

    /** @var array<int, list<array{int, int, int, int}>> gaps that change with an activity's duration */
    private readonly array $byDuration;

    /** @var array<int, list<int>> uses by place, in order */
    private array $order = [];

    /** @var array<int, array<int, int>> units by use and place */
    private array $units = [];

    /** @var array<int, array<int, array<int, int>>> gaps by place, use and the use that follows */
    private array $turns = [];

    /** @var array<int, array<int, array<int, int>>> the same with the room that is wished in between */
    private array $roomy = [];

    /**
     * Of times and choices that need not go together.
     *
     * @param array<int, int>       $starts by activity; each place takes its uses in the order of their times
     * @param array<int, list<int>> $chosen resources by choice
     */
    public function __construct(public readonly Uses $uses, array $starts, array $chosen)
    {
        $n = $uses->network;
        $this->chosen = $chosen;
        $this->duration = [];
        for ($i = 0; $i < $n->size; ++$i) {
            $this->duration[] = $n->duration($i, $chosen);
        }
        [$this->timing, $this->byDuration] = $uses->model->timing($starts, $this->duration);
        foreach ($uses->closings as $k => [$r]) {
            $this->enter($uses->firstClosing + $k, [$r => $n->capacity[$r]]);
        }
        for ($use = 0; $use < $uses->firstClosing; ++$use) {
            $this->enter($use, $uses->places($use, $this->chosen, $this->duration));
        }
        foreach (array_keys($this->order) as $place) {
            $this->chain($place);
        }
    }

    /** Of a schedule that stands whole. */
    public static function of(Uses $uses, Timeline $timeline): self
    {
        return new self($uses, $timeline->start, array_map(static fn (?array $resources): array => $resources ?? [], $timeline->chosen));
    }

    public function __clone()
    {
        $this->timing = clone $this->timing;
    }

    /** @return bool whether the turns and all else that must be kept can be kept */
    public function settle(): bool
    {
        return $this->timing->settle();
    }

    public function cost(): int
    {
        return $this->timing->cost() - $this->uses->model->constant;
    }

    /** Units that are lacking where turns, links and windows contradict each other. */
    public function lacks(): int
    {
        return $this->timing->lacks();
    }

    public function work(): int
    {
        return $this->timing->work();
    }

    /** @return list<array{int, int, int, int}> the turns, as in dear(), that contradict each other or what else must be kept */
    public function contradictions(): array
    {
        $mustKeep = $this->uses->model->mustKeep;

        return array_values(array_filter($this->dear(), static fn (array $turn): bool => $turn[3] >= $mustKeep));
    }

    /**
     * Turns that cost something, or that contradict each other.
     *
     * @return list<array{int, int, int, int}> place, the first, the second, and what a minute less between them would save
     */
    public function dear(): array
    {
        $dear = [];
        foreach ($this->turns as $place => $turns) {
            foreach ($turns as $a => $next) {
                foreach ($next as $b => $gap) {
                    $roomy = $this->roomy[$place][$a][$b] ?? null;
                    $saved = $this->timing->savedBy($gap) + (null === $roomy ? 0 : $this->timing->savedBy($roomy));
                    if ($saved > 0) {
                        $dear[] = [$place, $a, $b, $saved];
                    }
                }
            }
        }

        return $dear;
    }

    /** Whether two uses of a place may change their turns, as far as links tell. */
    public function mayTurn(int $place, int $a, int $b): bool
    {
        return $this->units[$a][$place] + $this->units[$b][$place] <= $this->uses->room($place, $this->chosen, $this->duration)
            || $this->uses->canPrecede($b, $a);
    }

    /** Puts a use right before another, or right behind it. */
    public function move(int $place, int $use, int $other, bool $before): void
    {
        $order = array_values(array_filter($this->order[$place], static fn (int $each): bool => $each !== $use));
        array_splice($order, (int) array_search($other, $order, true) + ($before ? 0 : 1), 0, [$use]);
        $this->order[$place] = $order;
        $this->chain($place);
    }

    /** @return list<array{int, int}> choices of a use that took a resource and could take another: choice, the resource it could take */
    public function others(int $use, int $r): array
    {
        $n = $this->uses->network;
        $others = [];
        if ($use < $this->uses->firstClosing) {
            foreach ($use < $n->size ? $n->needs[$use] : $n->holdNeeds[$use - $n->size] as [$choice]) {
                if (\in_array($r, $this->chosen[$choice], true)) {
                    foreach ($n->options[$choice] as $other) {
                        if (!\in_array($other, $this->chosen[$choice], true)) {
                            $others[] = [$choice, $other];
                        }
                    }
                }
            }
        }

        return $others;
    }

    /**
     * A choice takes another resource; whatever relies on it takes its turns there, as its time is now.
     *
     * @return bool false when something asks for more than there is then; all stays as it was
     */
    public function choose(int $choice, int $r, int $other): bool
    {
        $n = $this->uses->network;
        $touched = [];
        foreach ($this->uses->of[$choice] as $use) {
            $touched[$use] = $use;
            foreach ($use < $n->size ? $n->holdsOf[$use] : [] as $h) {
                $touched[$n->size + $h] = $n->size + $h;
            }
            foreach ($use < $n->size ? [] : $n->holdMembers[$use - $n->size] as $i) {
                $touched[$i] = $i;
            }
        }
        $chosen = $this->chosen;
        $chosen[$choice] = array_map(static fn (int $taken): int => $taken === $r ? $other : $taken, $chosen[$choice]);
        $duration = $this->duration;
        foreach ($touched as $use) {
            if ($use < $n->size) {
                $duration[$use] = $n->duration($use, $chosen);
            }
        }
        $units = array_map(fn (int $use): array => $this->uses->places($use, $chosen, $duration), $touched);
        foreach ($units as $wanted) {
            foreach ($wanted as $place => $each) {
                if ($each > $this->uses->room($place, $chosen, $duration)) {
                    return false;
                }
            }
        }
        $places = [];
        foreach ($touched as $use) {
            foreach ($this->units[$use] as $place => $_) {
                $places[$place] = $place;
                $this->order[$place] = array_values(array_filter($this->order[$place], static fn (int $each): bool => $each !== $use));
            }
        }
        $this->chosen = $chosen;
        foreach (array_diff_assoc($duration, $this->duration) as $i => $length) {
            $this->last($i, $length);
        }
        foreach ($units as $use => $wanted) {
            $this->enter($use, $wanted);
            $places += array_combine(array_keys($wanted), array_keys($wanted));
        }
        foreach ($places as $place) {
            $this->chain($place);
        }

        return true;
    }

    public function start(int $i): int
    {
        return $this->timing->time($this->uses->model->start($i));
    }

    /** Makes a timeline of it. */
    public function putInto(Timeline $timeline): void
    {
        $starts = $ends = [];
        foreach ($this->duration as $i => $duration) {
            $starts[$i] = $this->start($i);
            $ends[$i] = $starts[$i] + $duration;
        }
        $timeline->become($starts, $ends, $this->chosen);
    }

    private function last(int $i, int $duration): void
    {
        $this->duration[$i] = $duration;
        foreach ($this->byDuration[$i] ?? [] as [$gap, $length, $plus, $minus]) {
            $this->timing->change($gap, $length + ($this->duration[$plus] ?? 0) - ($this->duration[$minus] ?? 0));
        }
        foreach ($this->turns as $place => $turns) {
            foreach ($turns[$i] ?? [] as $b => $gap) {
                $length = $this->length($place, $i, $b);
                $this->timing->change($gap, $length);
                if (isset($this->roomy[$place][$i][$b])) {
                    $this->timing->change($this->roomy[$place][$i][$b], $length + $this->uses->model->room[$i][0]);
                }
            }
        }
    }

    /**
     * Into the order of its places, as its time is now.
     *
     * @param array<int, int> $units by place
     */
    private function enter(int $use, array $units): void
    {
        $this->units[$use] = $units;
        $start = $this->startOf($use);
        $end = $this->endOf($use);
        foreach ($units as $place => $_) {
            $order = $this->order[$place] ?? [];
            $at = 0;
            foreach ($order as $k => $each) {
                $from = $this->startOf($each);
                if ($from < $start || ($from === $start && $this->endOf($each) <= $end)) {
                    $at = $k + 1;
                }
            }
            array_splice($order, $at, 0, [$use]);
            $this->order[$place] = $order;
        }
    }

    /** Hands on the units of a place, in its order. */
    private function chain(int $place): void
    {
        $order = $this->order[$place];
        $room = $this->uses->room($place, $this->chosen, $this->duration);
        $wanted = [];
        if ($room > 1) {
            $units = array_map(fn (int $use): int => $this->units[$use][$place], $order);
            [$starts, $ends] = [array_map($this->startOf(...), $order), array_map($this->endOf(...), $order)];
            $wanted = (new Chains($room))->through($order, $units, $starts, $ends);
        } else {
            for ($k = 1; $k < \count($order); ++$k) {
                $wanted[$order[$k - 1]][$order[$k]] = true;
            }
        }
        $turns = $this->turns[$place] ?? [];
        foreach ($turns as $a => $next) {
            foreach ($next as $b => $gap) {
                if (isset($wanted[$a][$b])) {
                    unset($wanted[$a][$b]);
                } else {
                    $this->timing->drop($gap);
                    if (isset($this->roomy[$place][$a][$b])) {
                        $this->timing->drop($this->roomy[$place][$a][$b]);
                    }
                    unset($turns[$a][$b], $this->roomy[$place][$a][$b]);
                }
            }
        }
        foreach ($wanted as $a => $next) {
            foreach ($next as $b => $_) {
                if (!$this->uses->isClosing($a) || !$this->uses->isClosing($b)) {
                    [$from] = $this->uses->end($a, $this->duration);
                    [$to] = $this->uses->start($b);
                    $length = $this->length($place, $a, $b);
                    $turns[$a][$b] = $this->timing->add($from, $to, $length);
                    [$more, $worth] = $this->uses->model->room[$a] ?? [0, 0];
                    if ($more > 0) {
                        $this->roomy[$place][$a][$b] = $this->timing->add($from, $to, $length + $more, $worth);
                    }
                }
            }
        }
        $this->turns[$place] = $turns;
    }

    private function length(int $place, int $a, int $b): int
    {
        return $this->uses->end($a, $this->duration)[1] + $this->uses->turnover($place, $a, $b) - $this->uses->start($b)[1];
    }

    private function startOf(int $use): int
    {
        [$node, $more] = $this->uses->start($use);

        return $this->timing->time($node) + $more;
    }

    private function endOf(int $use): int
    {
        [$node, $more] = $this->uses->end($use, $this->duration);

        return $this->timing->time($node) + $more;
    }
}
