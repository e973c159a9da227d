<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * Longest paths between all starts, kept up to date with every gap that is added (n² for each); node 0 is the origin of time, so
 * that windows are paths too.
 */
final class Distances
{
    private const NEVER = -1_000_000_000;

    /** @var array<int, int> row by row */
    private array $d;

    public function __construct(private readonly int $nodes)
    {
        $this->d = array_fill(0, $nodes * $nodes, self::NEVER);
        for ($i = 0; $i < $nodes; ++$i) {
            $this->d[$i * $nodes + $i] = 0;
        }
    }

    /** The least by which `to` comes after `from`. */
    public function between(int $from, int $to): int
    {
        return $this->d[$from * $this->nodes + $to];
    }

    /** Whether `to` may still come at least so much after `from`. */
    public function allows(int $from, int $to, int $gap): bool
    {
        return $this->d[$to * $this->nodes + $from] + $gap <= 0;
    }

    /** @return bool false when a circle then gains: nothing goes any more */
    public function add(int $from, int $to, int $gap): bool
    {
        $n = $this->nodes;
        if ($gap <= $this->d[$from * $n + $to]) {
            return true;
        }
        if ($this->d[$to * $n + $from] + $gap > 0) {
            return false;
        }
        $d = &$this->d;
        $out = \array_slice($d, $to * $n, $n);
        for ($i = 0; $i < $n; ++$i) {
            $reach = $d[$i * $n + $from];
            if (self::NEVER === $reach) {
                continue;
            }
            $reach += $gap;
            $row = $i * $n;
            foreach ($out as $j => $further) {
                if ($reach + $further > $d[$row + $j] && self::NEVER !== $further) {
                    $d[$row + $j] = $reach + $further;
                }
            }
        }

        return true;
    }
}
