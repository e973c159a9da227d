<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

use Random\Randomizer;

/**
 * Problems whose only question is the order on each machine: one machine of capacity one for each activity, nothing to
 * choose, shortest gaps
 * only, the last end to be early. They are searched on the disjunctive graph: tabu search that swaps neighbours at the ends
 * of critical blocks
 * (Nowicki and Smutnicki 1996), moves judged by heads and tails without redoing the graph (Taillard 1994). An order without a cycle stays
 * without one under these swaps.
 */
final class Shop
{
    private const NONE = -1;

    /** Steps without a better schedule after which the search goes back to the best and is shaken. */
    private const PATIENCE = 700;

    /** Interval tests that one look at an activity is worth, so that a budget lasts about as long here as elsewhere. */
    private const WORK = 4;

    private int $size;

    /** @var array<int, int> */
    private array $length;

    /** @var array<int, int> machine by activity, or none */
    private array $machine = [];

    /** @var list<list<array{int, int}>> what must come before, with the gap from its start */
    private array $before = [];

    /** @var list<list<array{int, int}>> */
    private array $after = [];

    /** @var array<int, int> */
    private array $turnover;

    /** @var array<int, array<int, int>> activities by machine, in order */
    private array $orders = [];

    /** @var array<int, int> neighbours on the machine */
    private array $previous = [];

    /** @var array<int, int> */
    private array $next = [];

    /** @var array<int, int> earliest starts */
    private array $heads = [];

    /** @var array<int, int> longest way from an activity's start to the end */
    private array $tails = [];

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
        $shop = new self($network);
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
            $shop->machine[$i] = self::NONE;
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
                $shop->machine[$i] = $r;
            }
            $shop->before[$i] = $shop->after[$i] = [];
        }
        foreach ($network->links as [$from, $to, $min, $max, $fromEnd, $toEnd]) {
            $gap = $min + ($fromEnd ? $network->likely[$from] : 0) - ($toEnd ? $network->likely[$to] : 0);
            if (null !== $max || $gap < 0) {
                return null;
            }
            $shop->before[$to][] = [$from, $gap];
            $shop->after[$from][] = [$to, $gap];
        }

        return $shop->begin() ? $shop : null;
    }

    /**
     * @return array{array<int, int>, int, int} starts, makespan, steps
     */
    public function search(Budget $budget, int $bound, Randomizer $random): array
    {
        $best = $this->evaluate();
        $bestStarts = $this->heads;
        $bestOrders = $this->orders;
        $tabu = [];
        $stale = 0;
        $work = 0;
        $steps = 0;
        while ($best > $bound && $steps < $budget->iterations && $work < $budget->work) {
            ++$steps;
            $work += self::WORK * $this->size;
            $move = $this->bestMove($tabu, $steps, $best, $random);
            if (null === $move) {
                break;
            }
            [$u, $v] = $move;
            $this->swap($u, $v);
            $tabu[$v * $this->size + $u] = $steps + 8 + $random->getInt(0, 6);
            $makespan = $this->evaluate();
            ++$stale;
            if ($makespan < $best) {
                $best = $makespan;
                $bestStarts = $this->heads;
                $bestOrders = $this->orders;
                $stale = 0;
            } elseif ($stale > self::PATIENCE) {
                $this->restore($bestOrders);
                $this->evaluate();
                for ($shake = 4 + $random->getInt(0, 8); $shake > 0; --$shake) {
                    $moves = $this->moves($random);
                    if ([] !== $moves) {
                        $this->swap(...$moves[$random->getInt(0, \count($moves) - 1)]);
                        $this->evaluate();
                    }
                }
                $tabu = [];
                $stale = 0;
            }
        }
        $origin = $this->network->problem->horizonStart;

        return [array_map(static fn (int $s): int => $origin + $s, $bestStarts), $best, $steps];
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
    private function restore(array $orders): void
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
    private function evaluate(): int
    {
        /** @var array<int, int> $heads */
        $heads = array_fill(0, $this->size, 0);
        /** @var array<int, int> $left */
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

    /**
     * Swaps at the ends of the blocks of one critical path.
     *
     * @return list<array{int, int}> neighbours on a machine, the first now before the second
     */
    private function moves(Randomizer $random): array
    {
        $makespan = 0;
        for ($i = 0; $i < $this->size; ++$i) {
            $makespan = max($makespan, $this->heads[$i] + $this->tails[$i]);
        }
        $starts = [];
        for ($i = 0; $i < $this->size; ++$i) {
            if (0 === $this->heads[$i] && $this->tails[$i] === $makespan) {
                $starts[] = $i;
            }
        }
        if ([] === $starts) {
            return [];
        }
        $at = $starts[$random->getInt(0, \count($starts) - 1)];
        $path = [$at];
        while (true) {
            $ways = [];
            foreach ($this->after[$at] as [$j, $gap]) {
                if ($this->heads[$at] + $gap === $this->heads[$j] && $this->heads[$j] + $this->tails[$j] === $makespan) {
                    $ways[] = $j;
                }
            }
            $j = $this->next[$at];
            if (
                self::NONE !== $j
                && $this->heads[$at] + $this->length[$at] + $this->turnover[$this->machine[$at]] === $this->heads[$j]
                && $this->heads[$j] + $this->tails[$j] === $makespan
            ) {
                $ways[] = $j;
            }
            if ([] === $ways) {
                break;
            }
            $at = $ways[$random->getInt(0, \count($ways) - 1)];
            $path[] = $at;
        }
        $moves = [];
        $length = \count($path);
        for ($from = 0; $from < $length; $from = $to) {
            $to = $from + 1;
            while (
                $to < $length
                && self::NONE !== $this->machine[$path[$from]]
                && $this->machine[$path[$to]] === $this->machine[$path[$from]]
                && $this->next[$path[$to - 1]] === $path[$to]
            ) {
                ++$to;
            }
            if ($to - $from >= 2) {
                // The first two of the first block and the last two of the last change nothing.
                if ($from > 0 || $to === $length) {
                    $moves[$path[$from].'-'.$path[$from + 1]] = [$path[$from], $path[$from + 1]];
                }
                if ($to < $length || 0 === $from) {
                    $moves[$path[$to - 2].'-'.$path[$to - 1]] = [$path[$to - 2], $path[$to - 1]];
                }
            }
        }

        return array_values($moves);
    }

    /**
     * @param array<int, int> $tabu until which step a pair may not be swapped
     *
     * @return array{int, int}|null
     */
    private function bestMove(array $tabu, int $step, int $best, Randomizer $random): ?array
    {
        $moves = $this->moves($random);
        $chosen = null;
        $chosenLength = \PHP_INT_MAX;
        foreach ($moves as [$u, $v]) {
            $estimate = $this->estimate($u, $v);
            if (($tabu[$u * $this->size + $v] ?? 0) > $step && $estimate >= $best) {
                continue;
            }
            if ($estimate < $chosenLength) {
                $chosenLength = $estimate;
                $chosen = [$u, $v];
            }
        }

        return $chosen ?? ([] === $moves ? null : $moves[$random->getInt(0, \count($moves) - 1)]);
    }

    /** How long the way through both is after the swap, by heads and tails of their neighbours. */
    private function estimate(int $u, int $v): int
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

    private function swap(int $u, int $v): void
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
