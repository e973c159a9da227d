<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** Longest paths from one activity at a time, each found when it is first asked for and kept. */
final class PathsFrom
{
    /** @var array<int, list<array{int, int}>> by activity: to, weight */
    private array $out = [];

    /** @var array<int, array<int, int>> */
    private array $found = [];

    /** @param list<array{int, int, int, int}> $arcs start-to-start: from, to, weight, link; no circle of them gains */
    public function __construct(private readonly int $size, array $arcs)
    {
        foreach ($arcs as [$from, $to, $weight]) {
            $this->out[$from][] = [$to, $weight];
        }
    }

    /** @return array<int, int> longest start-to-start path to every activity that is bound to this one */
    public function of(int $i): array
    {
        if (isset($this->found[$i])) {
            return $this->found[$i];
        }
        $path = [$i => 0];
        $open = [$i];
        for ($round = 0; [] !== $open && $round < $this->size; ++$round) {
            $moved = [];
            foreach ($open as $from) {
                foreach ($this->out[$from] ?? [] as [$to, $weight]) {
                    if (!isset($path[$to]) || $path[$from] + $weight > $path[$to]) {
                        $path[$to] = $path[$from] + $weight;
                        $moved[$to] = $to;
                    }
                }
            }
            $open = $moved;
        }

        return $this->found[$i] = $path;
    }
}
