<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** The ways in which an activity's open choices of resources can be settled, less what must be left to others. */
final class ResourceChoices
{
    private const MOST_COMBINATIONS = 240;

    /** @var array<int, array<int, true>> resources that a choice must leave to others */
    private array $forbidden = [];

    /** @var array<int, array<int, true>> by activity */
    private array $alone = [];

    public function __construct(private readonly Network $network, private readonly Timeline $timeline)
    {
    }

    public function forgetForbidden(): void
    {
        $this->forbidden = [];
    }

    /**
     * Takes a resource from the options of a choice.
     *
     * @return bool false when it has no other left, or it was taken already
     */
    public function forbid(int $choice, int $r): bool
    {
        $left = \count($this->network->options[$choice]) - \count($this->forbidden[$choice] ?? []);
        if (isset($this->forbidden[$choice][$r]) || $left <= $this->network->takes[$choice]) {
            return false;
        }

        return $this->forbidden[$choice][$r] = true;
    }

    /**
     * The choices this activity opens: every way to settle those that hang together or set the duration, and for each of the
     * others, which can be settled by themselves, its options.
     *
     * @return array{list<array<int, list<int>>>, array<int, list<int>>} resources by choice; options by choice
     */
    public function combinations(int $i, int $rotation): array
    {
        $n = $this->network;
        $open = [];
        foreach ($n->needs[$i] as [$choice]) {
            if ($this->timeline->isOpen($choice)) {
                $open[$choice] = true;
            }
        }
        foreach ($n->holdsOf[$i] as $h) {
            // A marker of no length would take any resource, and bind the whole hold to it.
            if (0 === $n->longest[$i] && !$this->timeline->isBegun($h) && \count($n->holdMembers[$h]) > 1) {
                continue;
            }
            foreach ($n->holdNeeds[$h] as [$choice]) {
                if ($this->timeline->isOpen($choice)) {
                    $open[$choice] = true;
                }
            }
        }
        $combinations = [[]];
        $free = [];
        $alone = $this->standAlone($i);
        foreach (array_keys($open) as $choice) {
            $options = $n->options[$choice];
            if (isset($this->forbidden[$choice])) {
                $options = array_values(array_filter($options, fn (int $r): bool => !isset($this->forbidden[$choice][$r])));
            }
            if ($rotation > 0 && \count($options) > 1) {
                $cut = $rotation % \count($options);
                $options = [...\array_slice($options, $cut), ...\array_slice($options, 0, $cut)];
            }
            if (isset($alone[$choice])) {
                $free[$choice] = $options;
                continue;
            }
            $longer = [];
            foreach ($this->subsets($options, $n->takes[$choice]) as $subset) {
                foreach ($combinations as $combination) {
                    $combination[$choice] = $subset;
                    $longer[] = $combination;
                    if (\count($longer) >= self::MOST_COMBINATIONS) {
                        break 2;
                    }
                }
            }
            $combinations = $longer;
        }

        return [$combinations, $free];
    }

    /** @return array<int, true> choices of an activity that share no resource with another of its choices and leave its duration alone */
    private function standAlone(int $i): array
    {
        if (isset($this->alone[$i])) {
            return $this->alone[$i];
        }
        $n = $this->network;
        $choices = $timed = [];
        foreach ($n->needs[$i] as [$choice, , $own]) {
            $choices[$choice] = $choice;
            if ([] !== $own) {
                $timed[$choice] = true;
            }
        }
        foreach ($n->holdsOf[$i] as $h) {
            foreach ($n->holdNeeds[$h] as [$choice]) {
                $choices[$choice] = $choice;
            }
        }
        $users = [];
        foreach ($choices as $choice) {
            foreach ($n->options[$choice] as $r) {
                $users[$r] = ($users[$r] ?? 0) + 1;
            }
        }
        $alone = [];
        foreach ($choices as $choice) {
            if (!isset($timed[$choice]) && [] === array_filter($n->options[$choice], static fn (int $r): bool => $users[$r] > 1)) {
                $alone[$choice] = true;
            }
        }

        return $this->alone[$i] = $alone;
    }

    /** @param array<int, list<int>> $choices */
    public function duration(int $i, array $choices): int
    {
        return $this->network->duration($i, $choices, $this->timeline->chosen);
    }

    /**
     * @param list<int> $options
     *
     * @return list<list<int>>
     */
    private function subsets(array $options, int $size): array
    {
        if (1 === $size) {
            return array_map(static fn (int $r): array => [$r], $options);
        }
        $subsets = [];
        $count = \count($options);
        $picked = range(0, $size - 1);
        while ($size <= $count && \count($subsets) < self::MOST_COMBINATIONS) {
            $subsets[] = array_values(array_map(static fn (int $p): int => $options[$p], $picked));
            for ($k = $size - 1; $k >= 0 && $picked[$k] === $count - $size + $k; --$k) {
            }
            if ($k < 0) {
                break;
            }
            ++$picked[$k];
            for ($m = $k + 1; $m < $size; ++$m) {
                $picked[$m] = $picked[$m - 1] + 1;
            }
        }

        return $subsets;
    }
}
