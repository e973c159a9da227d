<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** Something that takes of a choice of resources for as long as it lasts: an activity's need, or a hold's. */
final readonly class PoolUse
{
    /**
     * @param list<int> $members activities by index; of a hold several
     * @param int|null  $first   the member that is sure to start first, if one is
     * @param int|null  $last    the member that is sure to end last, if one is
     */
    public function __construct(
        public int $choice,
        public int $units,
        public int $takes,
        public array $members,
        public ?int $first,
        public ?int $last,
        public ?int $hold,
    ) {
    }

    /**
     * What takes time, by index; an activity within a hold on the same resources is the hold's.
     *
     * @return list<self>
     */
    public static function of(Network $n): array
    {
        $after = self::endsInOrder($n);
        $uses = [];
        $held = [];
        foreach ($n->holdNeeds as $h => $needs) {
            $members = $n->holdMembers[$h];
            if (0 === array_sum(array_map(static fn (int $i): int => $n->shortest[$i], $members))) {
                continue;
            }
            $first = $last = null;
            foreach ($members as $i) {
                $others = array_diff($members, [$i]);
                $first = [] === array_filter($others, static fn (int $j): bool => !isset($after[$i][$j])) ? $i : $first;
                $last = [] === array_filter($others, static fn (int $j): bool => !isset($after[$j][$i])) ? $i : $last;
            }
            foreach ($needs as [$choice, $units]) {
                $uses[] = new self($choice, $units, $n->takes[$choice], $members, $first, $last, $h);
                foreach ($members as $i) {
                    $held[$i] = array_flip($n->options[$choice]) + ($held[$i] ?? []);
                }
            }
        }
        for ($i = 0; $i < $n->size; ++$i) {
            foreach ($n->shortest[$i] > 0 ? $n->needs[$i] : [] as [$choice, $units]) {
                if ([] === array_intersect_key(array_flip($n->options[$choice]), $held[$i] ?? [])) {
                    $uses[] = new self($choice, $units, $n->takes[$choice], [$i], $i, $i, null);
                }
            }
        }

        return $uses;
    }

    /**
     * Which activities are sure to start after another has ended, by links that say so.
     *
     * @return array<int, array<int, true>>
     */
    private static function endsInOrder(Network $n): array
    {
        $after = [];
        foreach ($n->links as [$from, $to, $min, , $fromEnd, $toEnd]) {
            if ($fromEnd && !$toEnd && $min >= 0 && $from !== $to) {
                $after[$from][$to] = true;
            }
        }
        do {
            $more = false;
            foreach ($after as $i => $those) {
                foreach (array_keys($those) as $j) {
                    foreach (array_keys($after[$j] ?? []) as $k) {
                        if (!isset($after[$i][$k])) {
                            $more = $after[$i][$k] = true;
                        }
                    }
                }
            }
        } while ($more);

        return $after;
    }
}
