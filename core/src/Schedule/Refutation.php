<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * Proves by trying everything that a small problem has no schedule. On which side of a long closing a start lies is tried first; then, of
 * each two that can't share a resource, that either comes first, or that they overlap and need one each; last, which resource is chosen.
 * Every branch is closed by longest paths between all starts (Distances) or because a pool has too little (PoolLimits); what failed most
 * often is tried first (weighted degrees, Boussemart and others 2004). What it leaves out (closings within a hold, what only some
 * resources can share) makes it prove less, never wrongly.
 */
final class Refutation
{
    /** Above this many activities a proof would take too long. */
    public const MOST_ACTIVITIES = 30;

    /** Of the work, for a first try that only finds out what fails. */
    private const FIRST_TRY = 0.07;

    /** On which side of it something lies is asked before anything else. */
    private const LONG_CLOSING = 120;

    /** Tests that a change of a branch is worth. */
    private const CHANGE = 40;

    private readonly PoolPairs $pool;

    /** @var array<int, int> by use: how often what it takes part in has failed */
    private array $failed;

    private PoolLimits $limits;

    private int $work = 0;

    private int $allowed = 0;

    /** Whether a branch stayed open with all decided: then nothing can be proven. */
    private bool $open = false;

    /** @var array<int, true> resources that were too few somewhere */
    private array $short = [];

    /** @var array<int, true> uses that were put in an order somewhere */
    private array $ordered = [];

    public function __construct(private readonly Network $network)
    {
        $this->pool = PoolPairs::of($network);
        $this->failed = array_fill(0, \count($this->pool->uses), 1);
        $this->limits = new PoolLimits($network);
    }

    /**
     * @param array<int, int>                 $earliest start by activity
     * @param array<int, int>                 $latest   start by activity
     * @param list<array{int, int, int, int}> $arcs     gaps from start to start
     * @param int                             $work     how many tests may be made
     *
     * @return Conflict|null what can't be had together, where that is proven
     */
    public function find(array $earliest, array $latest, array $arcs, int $work): ?Conflict
    {
        $root = ProofBranch::root($this->network, $earliest, $latest, $arcs);
        if (null === $root) {
            return $this->conflict();
        }
        foreach ([self::FIRST_TRY, 1.0] as $part) {
            $this->allowed = (int) ($part * $work);
            if ($this->isClosed(clone $root)) {
                return $this->conflict();
            }
            if ($this->open) {
                return null;
            }
        }

        return null;
    }

    private function conflict(): Conflict
    {
        $n = $this->network;
        $involved = [];
        foreach ($this->pool->uses as $u => $use) {
            foreach ($this->failed[$u] > 1 || isset($this->ordered[$u]) ? $use->members : [] as $i) {
                $involved[$i] = $n->ids[$i];
            }
        }

        return new Conflict(
            ConflictKind::Search,
            'every order and every choice was tried, and none holds',
            array_values($involved),
            array_map(static fn (int $r): string => $n->resourceIds[$r], array_keys($this->short)),
            array_keys(array_filter($n->links, static fn (array $link): bool => isset($involved[$link[0]], $involved[$link[1]]))),
        );
    }

    /** Whether no schedule is left below this branch. */
    private function isClosed(ProofBranch $branch): bool
    {
        $pair = $this->propagate($branch);
        if (null === $pair) {
            return true;
        }
        $this->work += $this->limits->work;
        $this->limits->work = 0;
        if ($this->work > $this->allowed) {
            return false;
        }
        [$closing, $minutes] = $this->closing($branch);
        if (null !== $closing && ($pair < 0 || $minutes >= self::LONG_CLOSING)) {
            return $this->areClosed($branch, $closing);
        }
        if ($pair >= 0) {
            return $this->areClosed($branch, $this->ways($pair));
        }
        foreach ($this->pool->uses as $use) {
            if (1 === $use->takes && \count($branch->options[$use->choice]) > 1) {
                return $this->areClosed(
                    $branch,
                    array_map(
                        static fn (int $r): \Closure => static fn (ProofBranch $b): bool => $b->choose($use->choice, $r),
                        $branch->options[$use->choice],
                    ),
                );
            }
        }
        $this->open = true;

        return false;
    }

    /** @param iterable<\Closure(ProofBranch): bool> $ways each false where nothing goes then */
    private function areClosed(ProofBranch $branch, iterable $ways): bool
    {
        foreach ($ways as $way) {
            $this->work += self::CHANGE;
            $with = clone $branch;
            if ($way($with) && !$this->isClosed($with)) {
                return false;
            }
        }

        return true;
    }

    /** @return list<\Closure(ProofBranch): bool> one of a pair first, the other, both at a time */
    private function ways(int $pair): array
    {
        [$a, $b, $turnover] = $this->pool->pairs[$pair];
        $first = $this->pool->uses[$a];
        $second = $this->pool->uses[$b];
        $this->ordered += [$a => true, $b => true];
        $settle = function (ProofBranch $branch, bool $goes) use ($pair, $a, $b): bool {
            $branch->settled[$pair] = true;

            return $goes ?: $this->blame($a, $b);
        };

        return [
            static fn (ProofBranch $branch): bool => $settle($branch, $branch->putBefore($first, $second, $turnover)),
            static fn (ProofBranch $branch): bool => $settle($branch, $branch->putBefore($second, $first, $turnover)),
            static function (ProofBranch $branch) use ($settle, $pair, $first, $second, $turnover): bool {
                $branch->apart[$pair] = true;

                return $branch->mayOverlap($first, $second, $turnover)
                    && $settle($branch, $branch->putTogether($first, $second, $turnover));
            },
        ];
    }

    /**
     * Draws all conclusions.
     *
     * @return int|null the pair to decide next, −1 when none is open; null when nothing goes
     */
    private function propagate(ProofBranch $branch): ?int
    {
        do {
            $changed = $this->keepHours($branch);
            if (null === $changed) {
                return null;
            }
            $next = -1;
            $dearest = -1.0;
            foreach ($this->pool->pairs as $p => [$a, $b, $turnover]) {
                if (isset($branch->settled[$p])) {
                    continue;
                }
                $this->work += 4;
                $first = $this->pool->uses[$a];
                $second = $this->pool->uses[$b];
                $before = $branch->mayPrecede($first, $second, $turnover);
                $after = $branch->mayPrecede($second, $first, $turnover);
                $together = $branch->mayOverlap($first, $second, $turnover);
                $ways = (int) $before + (int) $after + (int) $together;
                if ($ways > 1) {
                    $cost = ($this->failed[$a] + $this->failed[$b]) / (2 === $ways ? 2 : 4);
                    if ($cost > $dearest) {
                        $dearest = $cost;
                        $next = $p;
                    }
                    continue;
                }
                if (0 === $ways || !$this->ways($p)[$before ? 0 : ($after ? 1 : 2)]($branch)) {
                    $this->blame($a, $b);

                    return null;
                }
                $changed = true;
            }
        } while ($changed);

        return $this->poolsSuffice($branch) ? $next : null;
    }

    /**
     * Every start within hours in which what it needs is there.
     *
     * @return bool|null whether less is left to choose from; null when nothing goes
     */
    private function keepHours(ProofBranch $branch): ?bool
    {
        $n = $this->network;
        $fewer = false;
        for ($i = 0; $i < $n->size; ++$i) {
            foreach (0 === $n->longest[$i] ? [] : $n->needs[$i] as [$choice, , $own]) {
                $stretches = $branch->stretches($i, $choice, $own);
                $this->work += \count($stretches);
                if ([] === $stretches || !$branch->startWithin($i, $stretches[0][0], max(array_column($stretches, 1)))) {
                    $this->short += array_fill_keys($branch->options[$choice], true);

                    return null;
                }
                $there = array_values(array_unique(array_column($stretches, 2)));
                if (\count($there) < \count($branch->options[$choice]) && \count($there) >= $n->takes[$choice]) {
                    $branch->options[$choice] = $there;
                    $fewer = true;
                }
            }
        }

        return $fewer;
    }

    /**
     * The longest time in which something can't start that may start before it and after.
     *
     * @return array{list<\Closure(ProofBranch): bool>|null, int} both sides, and its minutes
     */
    private function closing(ProofBranch $branch): array
    {
        $n = $this->network;
        $sides = null;
        $longest = 0;
        for ($i = 0; $i < $n->size; ++$i) {
            foreach (0 === $n->longest[$i] ? [] : $n->needs[$i] as [$choice, , $own]) {
                $until = null;
                foreach ($branch->stretches($i, $choice, $own) as [$low, $high]) {
                    if (null !== $until && $low - $until - 1 > $longest) {
                        $longest = $low - $until - 1;
                        $sides = [
                            static fn (ProofBranch $b): bool => $b->startWithin($i, $b->earliest($i), $until),
                            static fn (ProofBranch $b): bool => $b->startWithin($i, $low, $b->latest($i)),
                        ];
                    }
                    $until = max($until ?? $high, $high);
                }
            }
        }

        return [$sides, $longest];
    }

    private function poolsSuffice(ProofBranch $branch): bool
    {
        $overlap = [];
        foreach ($branch->apart as $p => $_) {
            [$a, $b] = $this->pool->pairs[$p];
            $overlap[$a][$b] = $overlap[$b][$a] = true;
        }
        $this->work += \count($this->pool->mates);
        foreach ($this->pool->mates as [$a, $b]) {
            $uses = $this->pool->uses;
            if (!$branch->mayPrecede($uses[$a], $uses[$b], 0) && !$branch->mayPrecede($uses[$b], $uses[$a], 0)) {
                $overlap[$a][$b] = $overlap[$b][$a] = true;
            }
        }
        foreach ($this->pools($branch->options) as [$pool, $uses]) {
            if (
                !$this->limits->areMetAtOnce($pool, $uses, $overlap)
                || !$this->limits->areMetOverTime($pool, array_map($branch->task(...), $uses))
            ) {
                $this->short += array_fill_keys($pool, true);
                foreach ($this->limits->culprits as $u) {
                    ++$this->failed[$u];
                }

                return false;
            }
        }

        return true;
    }

    /**
     * Sets of resources that some use chooses from, each with all uses that must choose within it.
     *
     * @param array<int, list<int>> $options
     *
     * @return list<array{non-empty-list<int>, array<int, PoolUse>}>
     */
    private function pools(array $options): array
    {
        $pools = [];
        foreach ($this->pool->uses as $use) {
            $pool = $options[$use->choice];
            sort($pool);
            $pools[implode(' ', $pool)] ??= $pool;
        }
        $found = [];
        foreach ($pools as $pool) {
            $within = array_filter($this->pool->uses, static fn (PoolUse $u): bool => [] === array_diff($options[$u->choice], $pool));
            if (\count($within) > 1 && [] !== $pool) {
                $found[] = [$pool, $within];
            }
        }

        return $found;
    }

    /** @return false so that it can end a condition */
    private function blame(int $a, int $b): bool
    {
        ++$this->failed[$a];
        ++$this->failed[$b];
        $options = $this->network->options;
        $uses = $this->pool->uses;
        $common = array_intersect($options[$uses[$a]->choice], $options[$uses[$b]->choice]);
        $this->short += array_fill_keys($common, true);

        return false;
    }
}
