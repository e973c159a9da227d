<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

use Random\Randomizer;

/**
 * Problems whose only question is the order on each machine, the last end to be early. They are searched on the disjunctive graph: tabu
 * search that swaps neighbours at the ends of critical blocks (Nowicki and Smutnicki 1996). An order without a cycle stays without one
 * under these swaps.
 */
final readonly class Shop
{
    /** Steps without a better schedule after which the search goes back to the best and is shaken. */
    private const PATIENCE = 700;

    /** Interval tests that one look at an activity is worth, so that a budget lasts about as long here as elsewhere. */
    private const WORK = 4;

    private function __construct(private Network $network, private ShopGraph $graph)
    {
    }

    /** @return self|null null when there is more to decide than orders */
    public static function of(Network $network): ?self
    {
        $graph = ShopGraph::of($network);

        return null === $graph ? null : new self($network, $graph);
    }

    /**
     * @return array{array<int, int>, int, int} starts, makespan, steps
     */
    public function search(Budget $budget, int $bound, Randomizer $random): array
    {
        $best = $this->graph->evaluate();
        $bestStarts = $this->graph->heads;
        $bestOrders = $this->graph->orders;
        $tabu = [];
        $stale = 0;
        $work = 0;
        $steps = 0;
        while ($best > $bound && $steps < $budget->iterations && $work < $budget->work) {
            ++$steps;
            $work += self::WORK * $this->graph->size;
            $move = $this->bestMove($tabu, $steps, $best, $random);
            if (null === $move) {
                break;
            }
            [$u, $v] = $move;
            $this->graph->swap($u, $v);
            $tabu[$v * $this->graph->size + $u] = $steps + 8 + $random->getInt(0, 6);
            $makespan = $this->graph->evaluate();
            ++$stale;
            if ($makespan < $best) {
                $best = $makespan;
                $bestStarts = $this->graph->heads;
                $bestOrders = $this->graph->orders;
                $stale = 0;
            } elseif ($stale > self::PATIENCE) {
                $this->graph->restore($bestOrders);
                $this->graph->evaluate();
                for ($shake = 4 + $random->getInt(0, 8); $shake > 0; --$shake) {
                    $moves = $this->moves($random);
                    if ([] !== $moves) {
                        $this->graph->swap(...$moves[$random->getInt(0, \count($moves) - 1)]);
                        $this->graph->evaluate();
                    }
                }
                $tabu = [];
                $stale = 0;
            }
        }
        $origin = $this->network->problem->horizonStart;

        return [array_map(static fn (int $s): int => $origin + $s, $bestStarts), $best, $steps];
    }

    /**
     * Swaps at the ends of the blocks of one critical path.
     *
     * @return list<array{int, int}> neighbours on a machine, the first now before the second
     */
    private function moves(Randomizer $random): array
    {
        $makespan = 0;
        for ($i = 0; $i < $this->graph->size; ++$i) {
            $makespan = max($makespan, $this->graph->heads[$i] + $this->graph->tails[$i]);
        }
        $starts = [];
        for ($i = 0; $i < $this->graph->size; ++$i) {
            if (0 === $this->graph->heads[$i] && $this->graph->tails[$i] === $makespan) {
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
            foreach ($this->graph->after[$at] as [$j, $gap]) {
                if (
                    $this->graph->heads[$at] + $gap === $this->graph->heads[$j]
                    && $this->graph->heads[$j] + $this->graph->tails[$j] === $makespan
                ) {
                    $ways[] = $j;
                }
            }
            $j = $this->graph->next[$at];
            if (
                ShopGraph::NONE !== $j
                && $this->graph->heads[$at] + $this->graph->length[$at] + $this->graph->turnover[$this->graph->machine[$at]] ===
                    $this->graph->heads[$j]
                && $this->graph->heads[$j] + $this->graph->tails[$j] === $makespan
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
                && ShopGraph::NONE !== $this->graph->machine[$path[$from]]
                && $this->graph->machine[$path[$to]] === $this->graph->machine[$path[$from]]
                && $this->graph->next[$path[$to - 1]] === $path[$to]
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
            $estimate = $this->graph->estimate($u, $v);
            if (($tabu[$u * $this->graph->size + $v] ?? 0) > $step && $estimate >= $best) {
                continue;
            }
            if ($estimate < $chosenLength) {
                $chosenLength = $estimate;
                $chosen = [$u, $v];
            }
        }

        return $chosen ?? ([] === $moves ? null : $moves[$random->getInt(0, \count($moves) - 1)]);
    }
}
