<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** In which order the members of a group are placed from the end backwards. */
final class PlacingOrder
{
    /** @var list<int>|null */
    private ?array $depths = null;

    /** @param list<int|null> $dueAt due end by activity */
    public function __construct(
        private readonly Network $network,
        private readonly Propagation $windows,
        private readonly Groups $groups,
        private readonly array $dueAt,
    ) {
    }

    /**
     * @param array<int, array<int, int>>|null $matrix longest paths between members, by their position
     *
     * @return list<int> the latest first, followers before those they follow
     */
    public function of(int $g, ?array $matrix): array
    {
        $members = $this->groups->members[$g];
        $latest = [];
        foreach ($members as $p => $i) {
            $latest[$i] = $this->windows->latest[$i];
            foreach ($members as $q => $j) {
                $due = $this->dueAt[$j];
                if (null !== $due) {
                    $path = null === $matrix ? ($i === $j ? 0 : LongestPaths::NEVER) : $matrix[$p][$q];
                    $latest[$i] =
                        LongestPaths::NEVER === $path ? $latest[$i] : min($latest[$i], $due - $this->network->shortest[$j] - $path);
                }
            }
        }
        $depth = $this->depths();
        // Markers follow what they mark.
        $isWork = array_map(
            fn (int $i): bool => 0 < $this->network->shortest[$i] && !$this->marksAStart($i),
            array_combine($members, $members),
        );
        usort(
            $members,
            static fn (int $a, int $b): int => [$latest[$b], $isWork[$b], $depth[$b], $b] <=> [$latest[$a], $isWork[$a], $depth[$a], $a],
        );

        return $members;
    }

    /** Whether it only begins with another, and nothing waits for it. */
    private function marksAStart(int $i): bool
    {
        $n = $this->network;
        if (1 !== \count($n->linksOf[$i])) {
            return false;
        }
        [, $to, $min, $max, $fromEnd, $toEnd] = $n->links[$n->linksOf[$i][0]];

        return $to === $i && 0 === $min && 0 === $max && !$fromEnd && !$toEnd;
    }

    /** @return list<int> how many "not before" links lead up to an activity */
    private function depths(): array
    {
        if (null !== $this->depths) {
            return $this->depths;
        }
        $depth = array_fill(0, max(1, $this->network->size), 0);
        for ($round = 0; $round < $this->network->size; ++$round) {
            $moved = false;
            foreach ($this->network->links as [$from, $to]) {
                if ($depth[$to] <= $depth[$from] && $depth[$from] < $this->network->size) {
                    $depth[$to] = $depth[$from] + 1;
                    $moved = true;
                }
            }
            if (!$moved) {
                break;
            }
        }

        return $this->depths = $depth;
    }
}
