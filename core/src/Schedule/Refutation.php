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

    /** @var list<PoolUse> */
    private array $uses;

    /** @var list<array{int, int, int}> two uses that no resource can serve at once, turnover at least */
    private array $pairs = [];

    /** @var list<array{int, int}> two uses that choose from some of the same resources */
    private array $mates = [];

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
        $this->uses = PoolUse::of($network);
        $this->failed = array_fill(0, \count($this->uses), 1);
        $this->limits = new PoolLimits($network);
        foreach ($this->uses as $a => $first) {
            for ($b = 0; $b < $a; ++$b) {
                $this->pair($a, $b, $first, $this->uses[$b]);
            }
        }
    }

    private function pair(int $a, int $b, PoolUse $first, PoolUse $second): void
    {
        $n = $this->network;
        $common = array_intersect($n->options[$first->choice], $n->options[$second->choice]);
        if ([] === $common) {
            return;
        }
        $this->mates[] = [$a, $b];
        foreach ($common as $r) {
            if ($first->units + $second->units <= $n->capacity[$r] || $first->members === $second->members) {
                return;
            }
        }
        // Between a hold's own activities nothing is washed.
        $holds = static fn (PoolUse $use): array => array_merge(...array_map(static fn (int $i): array => $n->holdsOf[$i], $use->members));
        $turnover = [] === array_intersect($holds($first), $holds($second))
            ? min(array_map(static fn (int $r): int => $n->turnover[$r], $common))
            : 0;
        $this->pairs[] = [$a, $b, $turnover];
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
        if ($this->network->size > self::MOST_ACTIVITIES) {
            return null;
        }
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
        foreach ($this->uses as $u => $use) {
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
        foreach ($this->uses as $use) {
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
        [$a, $b, $turnover] = $this->pairs[$pair];
        $first = $this->uses[$a];
        $second = $this->uses[$b];
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
            foreach ($this->pairs as $p => [$a, $b, $turnover]) {
                if (isset($branch->settled[$p])) {
                    continue;
                }
                $this->work += 4;
                $first = $this->uses[$a];
                $second = $this->uses[$b];
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
            [$a, $b] = $this->pairs[$p];
            $overlap[$a][$b] = $overlap[$b][$a] = true;
        }
        $this->work += \count($this->mates);
        foreach ($this->mates as [$a, $b]) {
            if (!$branch->mayPrecede($this->uses[$a], $this->uses[$b], 0) && !$branch->mayPrecede($this->uses[$b], $this->uses[$a], 0)) {
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
        foreach ($this->uses as $use) {
            $pool = $options[$use->choice];
            sort($pool);
            $pools[implode(' ', $pool)] ??= $pool;
        }
        $found = [];
        foreach ($pools as $pool) {
            $within = array_filter($this->uses, static fn (PoolUse $u): bool => [] === array_diff($options[$u->choice], $pool));
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
        $this->short += array_fill_keys(array_intersect($options[$this->uses[$a]->choice], $options[$this->uses[$b]->choice]), true);

        return false;
    }
}
