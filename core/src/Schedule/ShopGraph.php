<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * The disjunctive graph of a shop: one machine of capacity one for each activity, shortest gaps only. It keeps an order on
 * each machine, heads
 * and tails of every activity, and judges a swap of two neighbours without redoing the graph (Taillard 1994).
 */
final class ShopGraph
{
    public const NONE = -1;

    public int $size;

    /** @var array<int, int> */
    public array $length;

    /** @var array<int, int> machine by activity, or none */
    public array $machine = [];

    /** @var list<list<array{int, int}>> what must come before, with the gap from its start */
    private array $before = [];

    /** @var list<list<array{int, int}>> */
    public array $after = [];

    /** @var array<int, int> */
    public array $turnover;

    /** @var array<int, array<int, int>> activities by machine, in order */
    public array $orders = [];

    /** @var array<int, int> neighbours on the machine */
    private array $previous = [];

    /** @var array<int, int> */
    public array $next = [];

    /** @var array<int, int> earliest starts */
    public array $heads = [];

    /** @var array<int, int> longest way from an activity's start to the end */
    public array $tails = [];

    private function __construct(private readonly Network $network)
    {
        $this->size = $network->size;
        $this->length = $network->likely;
        $this->turnover = $network->turnover;
    }

    /** @return self|null null when there is more to decide than orders */
    public static function of(Network $network): ?self
    {
        $problem = $network->problem;
        if (!$problem->objective->makespan || [] !== $problem->holds) {
            return null;
        }
        $graph = new self($network);
        foreach ($network->ids as $i => $id) {
            $activity = $problem->activities[$id];
            if (
                $activity->earliestStart > $problem->horizonStart
                || $activity->latestEnd < $problem->horizonEnd
                || \count($activity->needs) > 1
            ) {
                return null;
            }
            $need = $activity->needs[0] ?? null;
            $graph->machine[$i] = self::NONE;
            if (null !== $need) {
                $r = $network->options[$network->needs[$i][0][0]][0] ?? null;
                if (
                    null === $r
                    || 1 !== \count($need->from)
                    || 1 !== $need->count
                    || 1 !== $need->units
                    || [] !== $need->durations
                    || 1 !== $network->capacity[$r]
                    || [[$problem->horizonStart, $problem->horizonEnd]] !== $network->calendar[$r]
                    || $network->likely[$i] < 1
                ) {
                    return null;
                }
                $graph->machine[$i] = $r;
            }
            $graph->before[$i] = $graph->after[$i] = [];
        }
        foreach ($network->links as [$from, $to, $min, $max, $fromEnd, $toEnd]) {
            $gap = $min + ($fromEnd ? $network->likely[$from] : 0) - ($toEnd ? $network->likely[$to] : 0);
            if (null !== $max || $gap < 0) {
                return null;
            }
            $graph->before[$to][] = [$from, $gap];
            $graph->after[$from][] = [$to, $gap];
        }

        return $graph->begin() ? $graph : null;
    }

    /** A first order: whoever has the most work after it goes first. False when the links run in a circle. */
    private function begin(): bool
    {
        $left = array_map(\count(...), $this->before);
        $ready = array_keys(array_filter($left, static fn (int $n): bool => 0 === $n));
        $tail = $this->length;
        $backwards = $this->sorted();
        if (null === $backwards) {
            return false;
        }
        foreach (array_reverse($backwards) as $i) {
            foreach ($this->after[$i] as [$j, $gap]) {
                $tail[$i] = max($tail[$i], $gap + $tail[$j]);
            }
        }
        $free = [];
        $head = array_fill(0, $this->size, 0);
        $this->orders = [];
        $this->previous = $this->next = array_fill(0, $this->size, self::NONE);
        while ([] !== $ready) {
            // The one that could end first names the machine; of all that could begin there before, the longest tail goes
            // (Giffler and Thompson 1960).
            $start = [];
            $first = null;
            $firstEnd = \PHP_INT_MAX;
            foreach ($ready as $i) {
                $start[$i] = max($head[$i], self::NONE === $this->machine[$i] ? 0 : $free[$this->machine[$i]] ?? 0);
                if ($start[$i] + $this->length[$i] < $firstEnd) {
                    $firstEnd = $start[$i] + $this->length[$i];
                    $first = $i;
                }
            }
            $chosen = $first ?? $ready[0];
            foreach ($ready as $i) {
                if (
                    self::NONE !== $this->machine[$i]
                    && $this->machine[$i] === $this->machine[$first ?? 0]
                    && $start[$i] < $firstEnd
                    && $tail[$i] > $tail[$chosen]
                ) {
                    $chosen = $i;
                }
            }
            $m = $this->machine[$chosen];
            if (self::NONE !== $m) {
                $free[$m] = $start[$chosen] + $this->length[$chosen] + $this->turnover[$m];
                $this->orders[$m][] = $chosen;
            }
            $ready = array_values(array_diff($ready, [$chosen]));
            foreach ($this->after[$chosen] as [$j, $gap]) {
                $head[$j] = max($head[$j], $start[$chosen] + $gap);
                if (0 === --$left[$j]) {
                    $ready[] = $j;
                }
            }
        }
        $this->restore($this->orders);

        return true;
    }

    /** @return list<int>|null activities with every one after those that must come before it, by links alone */
    private function sorted(): ?array
    {
        $left = array_map(\count(...), $this->before);
        $queue = array_keys(array_filter($left, static fn (int $n): bool => 0 === $n));
        for ($at = 0; $at < \count($queue); ++$at) {
            foreach ($this->after[$queue[$at]] as [$j]) {
                if (0 === --$left[$j]) {
                    $queue[] = $j;
                }
            }
        }

        return \count($queue) === $this->size ? $queue : null;
    }

    /** @param array<int, array<int, int>> $orders */
    public function restore(array $orders): void
    {
        $this->orders = $orders;
        $this->previous = $this->next = array_fill(0, $this->size, self::NONE);
        foreach ($orders as $order) {
            foreach ($order as $place => $i) {
                $this->previous[$i] = $order[$place - 1] ?? self::NONE;
                $this->next[$i] = $order[$place + 1] ?? self::NONE;
            }
        }
    }

    /** Heads and tails of the whole graph; the makespan. */
    public function evaluate(): int
    {
        $heads = array_map(static fn (int $length): int => 0, $this->length);
        $left = $heads;
        $tails = $heads;
        $queue = [];
        for ($i = 0; $i < $this->size; ++$i) {
            $left[$i] = \count($this->before[$i]) + (self::NONE === $this->previous[$i] ? 0 : 1);
            if (0 === $left[$i]) {
                $queue[] = $i;
            }
        }
        $makespan = 0;
        for ($at = 0; $at < \count($queue); ++$at) {
            $i = $queue[$at];
            $end = $heads[$i] + $this->length[$i];
            $makespan = max($makespan, $end);
            foreach ($this->after[$i] as [$j, $gap]) {
                if ($heads[$i] + $gap > $heads[$j]) {
                    $heads[$j] = $heads[$i] + $gap;
                }
                if (0 === --$left[$j]) {
                    $queue[] = $j;
                }
            }
            $j = $this->next[$i];
            if (self::NONE !== $j) {
                $ready = $end + $this->turnover[$this->machine[$i]];
                if ($ready > $heads[$j]) {
                    $heads[$j] = $ready;
                }
                if (0 === --$left[$j]) {
                    $queue[] = $j;
                }
            }
        }
        for ($at = \count($queue) - 1; $at >= 0; --$at) {
            $i = $queue[$at];
            $tail = $this->length[$i];
            foreach ($this->after[$i] as [$j, $gap]) {
                $tail = max($tail, $gap + $tails[$j]);
            }
            $j = $this->next[$i];
            if (self::NONE !== $j) {
                $tail = max($tail, $this->length[$i] + $this->turnover[$this->machine[$i]] + $tails[$j]);
            }
            $tails[$i] = $tail;
        }
        $this->heads = $heads;
        $this->tails = $tails;

        return $makespan;
    }

    /** How long the way through both is after the swap, by heads and tails of their neighbours. */
    public function estimate(int $u, int $v): int
    {
        $turn = $this->turnover[$this->machine[$u]];
        $p = $this->previous[$u];
        $s = $this->next[$v];
        $headV = self::NONE === $p ? 0 : $this->heads[$p] + $this->length[$p] + $turn;
        foreach ($this->before[$v] as [$j, $gap]) {
            $headV = max($headV, $this->heads[$j] + $gap);
        }
        $headU = $headV + $this->length[$v] + $turn;
        foreach ($this->before[$u] as [$j, $gap]) {
            $headU = max($headU, $this->heads[$j] + $gap);
        }
        $tailU = $this->length[$u] + (self::NONE === $s ? 0 : $turn + $this->tails[$s]);
        foreach ($this->after[$u] as [$j, $gap]) {
            $tailU = max($tailU, $gap + $this->tails[$j]);
        }
        $tailV = $this->length[$v] + $turn + $tailU;
        foreach ($this->after[$v] as [$j, $gap]) {
            $tailV = max($tailV, $gap + $this->tails[$j]);
        }

        return max($headV + $tailV, $headU + $tailU);
    }

    public function swap(int $u, int $v): void
    {
        $m = $this->machine[$u];
        $place = array_search($u, $this->orders[$m], true);
        if (false === $place) {
            return;
        }
        $this->orders[$m][$place] = $v;
        $this->orders[$m][$place + 1] = $u;
        $p = $this->previous[$u];
        $s = $this->next[$v];
        if (self::NONE !== $p) {
            $this->next[$p] = $v;
        }
        if (self::NONE !== $s) {
            $this->previous[$s] = $u;
        }
        $this->previous[$v] = $p;
        $this->next[$v] = $u;
        $this->previous[$u] = $v;
        $this->next[$u] = $s;
    }
}
