<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * What can be said about a problem without searching: windows of every start, by links, calendars and pairs that cannot
 * overlap; and, where a window closes, the proof that no schedule exists.
 *
 * Longest paths over start-to-start arcs (Bellman and Ford), with immediate selection of disjunctive pairs after
 * Carlier and Pinson; overload checking of resources over windows.
 */
final class Propagation
{
    /** Above this size the all-pairs matrix and the overload check cost more than they tell. */
    public const ALL_PAIRS_LIMIT = 120;
    private const NEVER = -1_000_000_000;

    /** @var array<int, int> earliest start by activity */
    public array $earliest;

    /** @var array<int, int> latest start by activity */
    public array $latest;

    /** @var list<Conflict> empty unless infeasibility is proven */
    public array $conflicts = [];

    /** @var list<array{int, int, int, int}> from, to, weight, link index or −1 for a derived order */
    public array $arcs;

    /** @var array<int, array{int, int, int}> activity → the activity, link and weight that moved its earliest start */
    private array $whyEarliest = [];

    /** @var array<int, array{int, int, int}> */
    private array $whyLatest = [];

    /** @var array<int, int> activity → resource whose calendar moved it */
    private array $byCalendar = [];

    public function __construct(private readonly Network $network)
    {
        $this->arcs = $network->arcs();
        $this->earliest = $network->earliestStart;
        $this->latest = [];
        for ($i = 0; $i < $network->size; ++$i) {
            $this->latest[] = $network->latestEnd[$i] - $network->shortest[$i];
        }
        $this->run();
    }

    private function run(): void
    {
        $unmet = (new NeedsCheck($this->network))->unmet();
        if (null !== $unmet) {
            $this->conflicts[] = $unmet;

            return;
        }
        if (!$this->tighten()) {
            return;
        }
        $pairs = DisjunctivePairs::of($this->network);
        for ($round = 0; $round < 30; ++$round) {
            $ordered = $this->orderPairs($pairs);
            if (null === $ordered || ($ordered && !$this->tighten())) {
                return;
            }
            if (!$ordered) {
                break;
            }
        }
        if ($this->network->size <= self::ALL_PAIRS_LIMIT) {
            $paths = new PathsFrom($this->network->size, $this->arcs);
            array_push($this->conflicts, ...(new Overload($this->network, $paths))->find($this->earliest, $this->latest));
            array_push($this->conflicts, ...(new HeldTogether($this->network, $paths))->find());
        }
    }

    /**
     * Longest paths and calendars to a fixpoint.
     *
     * @phpstan-impure
     *
     * @return bool false when a window closed
     */
    private function tighten(): bool
    {
        $n = $this->network;
        $rounds = 0;
        do {
            $moved = false;
            // A circle of links that needs more time than it allows would creep on to the horizon; its parents betray it.
            if (0 === ++$rounds % ($n->size + 2) && $this->circleFound()) {
                return false;
            }
            foreach ($this->arcs as [$from, $to, $weight, $link]) {
                $start = $this->earliest[$from] + $weight;
                if ($start > $this->earliest[$to]) {
                    $this->earliest[$to] = $start;
                    $this->whyEarliest[$to] = [$from, $link, $weight];
                    $moved = true;
                    if ($start > $this->latest[$to]) {
                        return $this->closed($to);
                    }
                }
                $start = $this->latest[$to] - $weight;
                if ($start < $this->latest[$from]) {
                    $this->latest[$from] = $start;
                    $this->whyLatest[$from] = [$to, $link, $weight];
                    $moved = true;
                    if ($start < $this->earliest[$from]) {
                        return $this->closed($from);
                    }
                }
            }
            for ($i = 0; $i < $n->size; ++$i) {
                if ($this->earliest[$i] > $this->latest[$i]) {
                    return $this->closed($i);
                }
                foreach ($n->needs[$i] as [$choice, , $durations]) {
                    $moved = $this->byCalendarOf($i, $choice, $durations) || $moved;
                    if ($this->earliest[$i] > $this->latest[$i]) {
                        return $this->closed($i);
                    }
                }
            }
        } while ($moved);

        return true;
    }

    /** Looks for a circle of links whose least gaps add up to more than nothing. */
    private function circleFound(): bool
    {
        $n = $this->network;
        $colour = [];
        for ($root = 0; $root < $n->size; ++$root) {
            $path = [];
            for ($at = $root; isset($this->whyEarliest[$at]) && !isset($colour[$at]); $at = $this->whyEarliest[$at][0]) {
                $colour[$at] = $root + 1;
                $path[] = $at;
            }
            if (($colour[$at] ?? 0) !== $root + 1) {
                continue;
            }
            $from = array_search($at, $path, true);
            $circle = \array_slice($path, false === $from ? 0 : $from);
            $sum = 0;
            $links = [];
            foreach ($circle as $i) {
                $sum += $this->whyEarliest[$i][2];
                if ($this->whyEarliest[$i][1] >= 0) {
                    $links[] = $this->whyEarliest[$i][1];
                }
            }
            if ($sum > 0) {
                $this->conflicts[] = new Conflict(
                    ConflictKind::Link,
                    \sprintf('these wait for each other in a circle that needs %d more than its links allow', $sum),
                    array_map(static fn (int $i): string => $n->ids[$i], $circle),
                    [],
                    $links,
                );

                return true;
            }
        }

        return false;
    }

    /** @param array<int, int> $durations */
    private function byCalendarOf(int $i, int $choice, array $durations): bool
    {
        $n = $this->network;
        if (0 === $n->longest[$i]) {
            return false;
        }
        $first = \PHP_INT_MAX;
        $last = \PHP_INT_MIN;
        foreach ($n->options[$choice] as $r) {
            $length = max($n->shortest[$i], [] === $durations ? 0 : $durations[$r] ?? $n->likely[$i]);
            foreach ($n->calendar[$r] as [$from, $to]) {
                $low = max($from, $this->earliest[$i]);
                $high = min($to - $length, $this->latest[$i]);
                if ($low <= $high) {
                    $first = min($first, $low);
                    $last = max($last, $high);
                }
            }
        }
        $moved = false;
        if ($first > $this->earliest[$i]) {
            $this->earliest[$i] = min($first, self::NEVER * -1);
            $this->byCalendar[$i] = $choice;
            $moved = true;
        }
        if ($last < $this->latest[$i]) {
            $this->latest[$i] = max($last, self::NEVER);
            $this->byCalendar[$i] = $choice;
            $moved = true;
        }

        return $moved;
    }

    /** Records why the window of an activity closed: the chains of links that push it from both sides. */
    private function closed(int $activity): bool
    {
        $n = $this->network;
        $activities = [$activity => true];
        $links = [];
        $resources = [];
        foreach ([$this->whyEarliest, $this->whyLatest] as $why) {
            $at = $activity;
            for ($guard = 0; isset($why[$at]) && $guard <= $n->size; ++$guard) {
                [$at, $link] = $why[$at];
                if (isset($activities[$at]) && ($link < 0 || isset($links[$link]))) {
                    break;
                }
                $activities[$at] = true;
                if ($link >= 0) {
                    $links[$link] = true;
                }
            }
        }
        foreach (array_keys($activities) as $i) {
            if (isset($this->byCalendar[$i])) {
                foreach ($n->options[$this->byCalendar[$i]] as $r) {
                    $resources[$r] = true;
                }
            }
        }
        $text =
            abs($this->earliest[$activity]) >= -self::NEVER || abs($this->latest[$activity]) >= -self::NEVER
                ? \sprintf('%s fits no time at which what it needs is available', $n->ids[$activity])
                : \sprintf(
                    '%s cannot start before %d, and must start by %d',
                    $n->ids[$activity],
                    $this->earliest[$activity],
                    $this->latest[$activity],
                );
        $names = [];
        foreach (array_keys($activities) as $i) {
            $names[] = $n->ids[$i];
        }
        $this->conflicts[] = new Conflict(
            [] !== $links ? ConflictKind::Link : ([] !== $resources ? ConflictKind::Calendar : ConflictKind::Window),
            $text,
            $names,
            array_map(static fn (int $r): string => $n->resourceIds[$r], array_keys($resources)),
            array_keys($links),
        );

        return false;
    }

    /**
     * Where only one order of a pair is left, it becomes an arc.
     *
     * @param list<array{int, int, int}> $pairs
     *
     * @return bool|null whether something was learned; null when some pair has no order left
     */
    private function orderPairs(array $pairs): ?bool
    {
        $n = $this->network;
        if ([] === $pairs) {
            return false;
        }
        $distance = $n->size <= self::ALL_PAIRS_LIMIT ? LongestPaths::between($n->size, $this->arcs) : [];
        $learned = false;
        foreach ($pairs as [$i, $j, $r]) {
            $shared = [] !== array_intersect($n->holdsOf[$i], $n->holdsOf[$j]);
            $gap = $shared ? 0 : $n->turnover[$r];
            $first = $this->canPrecede($i, $j, $gap, $distance);
            $second = $this->canPrecede($j, $i, $gap, $distance);
            if (!$first && !$second) {
                $this->conflicts[] = new Conflict(
                    ConflictKind::Resource,
                    \sprintf(
                        '%s and %s both need %s, and their windows and links leave no order for them',
                        $n->ids[$i],
                        $n->ids[$j],
                        $n->resourceIds[$r],
                    ),
                    [$n->ids[$i], $n->ids[$j]],
                    [$n->resourceIds[$r]],
                );

                return null;
            }
            if ($first xor $second) {
                [$before, $after] = $first ? [$i, $j] : [$j, $i];
                $weight = $n->shortest[$before] + $gap;
                if (
                    [] === $distance
                        ? $this->earliest[$after] < $this->earliest[$before] + $weight
                            || $this->latest[$before] > $this->latest[$after] - $weight
                        : $distance[$before][$after] < $weight
                ) {
                    $this->arcs[] = [$before, $after, $weight, -1];
                    $learned = true;
                }
            }
        }

        return $learned;
    }

    /** @param array<int, array<int, int>> $distance */
    private function canPrecede(int $i, int $j, int $gap, array $distance): bool
    {
        $length = $this->network->shortest[$i] + $gap;
        if ($this->earliest[$i] + $length > $this->latest[$j]) {
            return false;
        }

        // start(j) − start(i) is at most −distance[j][i].
        return [] === $distance || LongestPaths::NEVER === $distance[$j][$i] || $length <= -$distance[$j][$i];
    }
}
