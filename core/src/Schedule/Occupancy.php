<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** What is placed so far, on which resources, and how to take it back: int lists, do and undo, no objects. */
abstract class Occupancy
{
    /** @var array<int, int> start by activity; meaningless unless placed */
    public array $start;

    /** @var array<int, int> */
    public array $end;

    /** @var array<int, bool> */
    public array $placed;

    /** @var array<int, list<int>|null> resources taken, by choice; null while open */
    public array $chosen;

    /** @var array<int, int> how many placed activities rely on a choice */
    protected array $reliance;

    /** @var array<int, array<int, int>> by resource: activity → units */
    protected array $actsOn;

    /** @var array<int, array<int, int>> by resource: hold → units */
    protected array $holdsOn;

    /** @var array<int, array<int, true>> needs of a hold that stand in holdsOn, by hold */
    protected array $registered;

    /** @var array<int, int> placed members, by hold */
    protected array $holdCount;

    /** @var array<int, int> */
    protected array $holdStart;

    /** @var array<int, int> */
    protected array $holdEnd;

    /** Number of interval tests so far: the solver's measure of work. */
    public int $work = 0;

    public function __construct(protected readonly Network $network)
    {
        $this->clear();
    }

    public function clear(): void
    {
        $n = $this->network;
        $this->start = $this->end = array_fill(0, $n->size, 0);
        $this->placed = array_fill(0, $n->size, false);
        $this->chosen = array_fill(0, \count($n->options), null);
        $this->reliance = array_fill(0, \count($n->options), 0);
        $this->actsOn = $this->holdsOn = array_fill(0, \count($n->resourceIds), []);
        $this->holdCount = $this->holdStart = $this->holdEnd = array_fill(0, \count($n->holdIds), 0);
        $this->registered = array_fill(0, \count($n->holdIds), []);
    }

    /**
     * @param array<int, list<int>> $choices resources for the choices this activity opens
     */
    public function place(int $i, int $start, int $duration, array $choices): void
    {
        $n = $this->network;
        $this->start[$i] = $start;
        $this->end[$i] = $start + $duration;
        $this->placed[$i] = true;
        foreach ($choices as $choice => $resources) {
            $this->chosen[$choice] = $resources;
        }
        foreach ($n->needs[$i] as [$choice, $units]) {
            ++$this->reliance[$choice];
            if ($duration > 0) {
                foreach ($this->chosen[$choice] ?? [] as $r) {
                    $this->actsOn[$r][$i] = ($this->actsOn[$r][$i] ?? 0) + $units;
                }
            }
        }
        foreach ($n->holdsOf[$i] as $h) {
            if (0 === $this->holdCount[$h]++) {
                $this->holdStart[$h] = $start;
                $this->holdEnd[$h] = $start + $duration;
            } else {
                if ($start < $this->holdStart[$h]) {
                    $this->holdStart[$h] = $start;
                }
                if ($start + $duration > $this->holdEnd[$h]) {
                    $this->holdEnd[$h] = $start + $duration;
                }
            }
            foreach ($n->holdNeeds[$h] as $k => [$choice, $units]) {
                ++$this->reliance[$choice];
                if (null !== $this->chosen[$choice] && !isset($this->registered[$h][$k])) {
                    $this->registered[$h][$k] = true;
                    foreach ($this->chosen[$choice] as $r) {
                        $this->holdsOn[$r][$h] = ($this->holdsOn[$r][$h] ?? 0) + $units;
                    }
                }
            }
        }
    }

    /**
     * Takes out activities; a hold that keeps members shrinks to what is left of it.
     *
     * @param list<int> $activities
     */
    public function remove(array $activities): void
    {
        $n = $this->network;
        $shrunk = [];
        foreach ($activities as $i) {
            if (!$this->placed[$i]) {
                continue;
            }
            $this->placed[$i] = false;
            foreach ($n->needs[$i] as [$choice]) {
                foreach ($this->chosen[$choice] ?? [] as $r) {
                    unset($this->actsOn[$r][$i]);
                }
            }
            foreach ($n->holdsOf[$i] as $h) {
                if (0 === --$this->holdCount[$h]) {
                    foreach ($n->holdNeeds[$h] as [$choice]) {
                        foreach ($this->chosen[$choice] ?? [] as $r) {
                            unset($this->holdsOn[$r][$h]);
                        }
                    }
                    $this->registered[$h] = [];
                } else {
                    $shrunk[$h] = $h;
                }
            }
            foreach ($n->needs[$i] as [$choice]) {
                if (0 === --$this->reliance[$choice]) {
                    $this->chosen[$choice] = null;
                }
            }
            foreach ($n->holdsOf[$i] as $h) {
                foreach ($n->holdNeeds[$h] as [$choice]) {
                    if (0 === --$this->reliance[$choice]) {
                        $this->chosen[$choice] = null;
                    }
                }
            }
        }
        foreach ($shrunk as $h) {
            [$from, $to] = $this->span(array_values(array_filter($n->holdMembers[$h], fn (int $i): bool => $this->placed[$i])));
            $this->holdStart[$h] = $from;
            $this->holdEnd[$h] = $to;
            foreach ($n->holdNeeds[$h] as $k => [$choice]) {
                // Markers alone hold nothing: whoever comes back may choose anew.
                if ($from === $to && null !== $this->chosen[$choice] && $this->reliance[$choice] === $this->holdCount[$h]) {
                    foreach ($this->chosen[$choice] as $r) {
                        unset($this->holdsOn[$r][$h]);
                    }
                    unset($this->registered[$h][$k]);
                    $this->chosen[$choice] = null;
                }
            }
        }
    }

    /**
     * Takes activities out so that they can be put back just as they were.
     *
     * @param list<int> $activities
     *
     * @return list<array{int, int, int, array<int, list<int>>}> activity, start, duration, resources by choice
     */
    public function lift(array $activities): array
    {
        $n = $this->network;
        $lifted = [];
        foreach ($activities as $i) {
            if (!$this->placed[$i]) {
                continue;
            }
            $choices = [];
            foreach ($n->choicesOf($i) as $choice) {
                if (null !== $this->chosen[$choice]) {
                    $choices[$choice] = $this->chosen[$choice];
                }
            }
            $lifted[] = [$i, $this->start[$i], $this->end[$i] - $this->start[$i], $choices];
        }
        $this->remove($activities);

        return $lifted;
    }

    /** @param list<array{int, int, int, array<int, list<int>>}> $lifted as lift() gave it */
    public function putBack(array $lifted): void
    {
        foreach ($lifted as [$i, $start, $duration, $choices]) {
            $this->place($i, $start, $duration, $choices);
        }
    }

    /**
     * Becomes a schedule that stands whole, as starts, ends and choices.
     *
     * @param array<int, int>            $starts by activity
     * @param array<int, int>            $ends
     * @param array<int, list<int>|null> $chosen by choice
     */
    public function become(array $starts, array $ends, array $chosen): void
    {
        $this->clear();
        foreach ($starts as $i => $start) {
            $choices = array_intersect_key($chosen, $this->network->choicesOf($i));
            $this->place($i, $start, $ends[$i] - $start, array_filter($choices));
        }
    }

    /**
     * Choices that put something on a resource within [from, to).
     *
     * @return list<array{int, int}> choice, and an activity that relies on it
     */
    public function occupants(int $r, int $from, int $to): array
    {
        $n = $this->network;
        $occupants = [];
        foreach ($this->actsOn[$r] as $j => $_) {
            if ($this->start[$j] < $to && $from < $this->end[$j]) {
                foreach ($this->taking($r, $n->needs[$j]) as $choice) {
                    $occupants[] = [$choice, $j];
                }
            }
        }
        foreach ($this->holdsOn[$r] as $h => $_) {
            if ($this->holdStart[$h] < $to && $from < $this->holdEnd[$h]) {
                foreach ($this->taking($r, $n->holdNeeds[$h]) as $choice) {
                    $occupants[] = [$choice, $n->holdMembers[$h][0]];
                }
            }
        }

        return $occupants;
    }

    /**
     * @param list<array{0: int}> $needs
     *
     * @return list<int> their choices that took a resource
     */
    private function taking(int $r, array $needs): array
    {
        return array_values(array_filter(array_column($needs, 0), fn (int $c): bool => \in_array($r, $this->chosen[$c] ?? [], true)));
    }

    /**
     * When the first of these begins and the last is over.
     *
     * @param list<int>|null $activities null: all
     *
     * @return array{int, int}
     */
    public function span(?array $activities = null): array
    {
        $first = \PHP_INT_MAX;
        $last = \PHP_INT_MIN;
        foreach ($activities ?? array_keys($this->start) as $i) {
            $first = min($first, $this->start[$i]);
            $last = max($last, $this->end[$i]);
        }

        return [$first, $last];
    }

    /**
     * Where usage of a shared resource would overflow in [from, to): the start of a use to end before, or PHP_INT_MAX.
     *
     * @param array<int, int> $ownHolds
     */
    protected function overflowEdge(int $r, int $i, int $wanted, int $from, int $to, array $ownHolds): int
    {
        $n = $this->network;
        $uses = [];
        // A look at one of these costs about half of what a test elsewhere does.
        $this->work += \count($this->actsOn[$r]) >> 1;
        foreach ($this->actsOn[$r] as $j => $units) {
            if ($this->start[$j] < $to && $from < $this->end[$j]) {
                $group = -1;
                // What belongs to several holds counts in each of them.
                foreach ($n->holdsOf[$j] as $h) {
                    if (isset($this->holdsOn[$r][$h])) {
                        $group = $h;
                        $uses[] = [$this->start[$j], $this->end[$j], $units, $h, false];
                    }
                }
                if ($group < 0) {
                    $uses[] = [$this->start[$j], $this->end[$j], $units, -1, false];
                }
            }
        }
        foreach ($this->holdsOn[$r] as $h => $units) {
            if ($this->holdStart[$h] < $to && $from < $this->holdEnd[$h]) {
                $uses[] = [$this->holdStart[$h], $this->holdEnd[$h], $units, $h, true];
            }
        }
        if ([] === $uses && [] === $ownHolds) {
            return \PHP_INT_MAX;
        }
        $points = [$from => true];
        foreach ($uses as [$start]) {
            if ($start > $from) {
                $points[$start] = true;
            }
        }
        $capacity = $n->capacity[$r];
        $own = array_map(static fn (int $units): int => $wanted, $ownHolds);
        foreach (array_keys($points) as $p) {
            $free = [] === $own ? $wanted : 0;
            $acts = $own;
            $holds = $ownHolds;
            $latest = \PHP_INT_MIN;
            foreach ($uses as [$start, $end, $units, $group, $isHold]) {
                if ($start <= $p && $p < $end) {
                    $latest = max($latest, $start);
                    if ($isHold) {
                        $holds[$group] = $units;
                    } elseif ($group < 0) {
                        $free += $units;
                    } else {
                        $acts[$group] = ($acts[$group] ?? 0) + $units;
                    }
                }
            }
            foreach ($acts as $group => $units) {
                $free += max($units, $holds[$group] ?? 0);
                unset($holds[$group]);
            }
            $free += array_sum($holds);
            if ($free > $capacity) {
                return \PHP_INT_MIN === $latest ? $from : min($latest, $to - 1);
            }
        }

        return \PHP_INT_MAX;
    }
}
