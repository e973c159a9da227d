<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

use Random\Randomizer;

/**
 * Completes a schedule in which some groups found no place: one that does not fit throws out those in its way that were
 * hard to place the least often (guided ejection search after Nagata and Bräysy, 2009), and these look for a place anew.
 */
final class Ejection
{
    /** Sets to throw out that are tried for one group, before all that may be in its way goes. */
    private const MOST_SETS = 24;

    private const EARLIER_TRIES = 2;

    private const STIRRED = 4;

    private const ROUNDS = 3;

    /** @var array<int, int> by group, how often it found no place */
    private array $hardness;

    public function __construct(
        private readonly Propagation $windows,
        private readonly Groups $groups,
        private readonly Neighbours $neighbours,
        private readonly Decoder $decoder,
        private readonly Randomizer $random,
    ) {
        $this->hardness = array_fill(0, \count($groups->members), 1);
    }

    /**
     * Goes on until everything is placed or the work is used up; begins anew a few times, the hardest first.
     *
     * @param int $work of the timeline, at which to give up
     */
    public function complete(int $work): bool
    {
        $timeline = $this->decoder->timeline;
        for ($round = self::ROUNDS; $round > 0; --$round) {
            if ($this->round($timeline->work + intdiv(max(0, $work - $timeline->work), $round))) {
                return true;
            }
            $timeline->clear();
        }

        return false;
    }

    private function round(int $work): bool
    {
        $timeline = $this->decoder->timeline;
        $homeless = [];
        foreach ($this->random->shuffleArray(array_keys($this->groups->members)) as $g) {
            foreach ($this->groups->members[$g] as $i) {
                if (!$timeline->placed[$i]) {
                    $timeline->remove($this->groups->members[$g]);
                    $homeless[$g] = $g;
                    break;
                }
            }
        }
        while ([] !== $homeless && $timeline->work < $work) {
            $g = $this->hardest($homeless);
            unset($homeless[$g]);
            if ($this->findsPlace($g)) {
                continue;
            }
            ++$this->hardness[$g];
            $out = $this->makeRoom($g);
            if (null === $out) {
                return false;
            }
            foreach ($out as $other) {
                $homeless[$other] = $other;
            }
            $this->stir();
        }

        return [] === $homeless;
    }

    /** As late as may be, or from some earlier time on. */
    private function findsPlace(int $g): bool
    {
        for ($try = 0; $try <= self::EARLIER_TRIES; ++$try) {
            if ($this->decoder->insert($g, 0 === $try ? [] : $this->earlier($g), [])) {
                return true;
            }
        }

        return false;
    }

    /** @return array<int, int> a latest start for one member, anywhere in its window */
    private function earlier(int $g): array
    {
        $members = $this->groups->members[$g];
        $i = $members[$this->random->getInt(0, \count($members) - 1)];

        return [
            $i => $this->random->getInt($this->windows->earliest[$i], max($this->windows->earliest[$i], $this->windows->latest[$i])),
        ];
    }

    /** Some that stand already move elsewhere, so that no two throw each other out for ever. */
    private function stir(): void
    {
        for ($move = 0; $move < self::STIRRED; ++$move) {
            $g = $this->random->getInt(0, \count($this->groups->members) - 1);
            $lifted = $this->decoder->timeline->lift($this->groups->members[$g]);
            if ([] !== $lifted && !$this->decoder->insert($g, $this->earlier($g), [])) {
                $this->decoder->timeline->putBack($lifted);
            }
        }
    }

    /** @param non-empty-array<int, int> $homeless */
    private function hardest(array $homeless): int
    {
        $best = array_key_first($homeless);
        foreach ($homeless as $g) {
            if ([$this->hardness[$g], $this->isLast($g)] > [$this->hardness[$best], $this->isLast($best)]) {
                $best = $g;
            }
        }

        return $best;
    }

    /** Whether all that comes after it stands: schedules are built from the end. */
    private function isLast(int $g): bool
    {
        foreach ($this->groups->successors[$g] as $next) {
            if (!$this->decoder->timeline->placed[$this->groups->members[$next][0]]) {
                return false;
            }
        }

        return true;
    }

    /** @return list<int>|null the groups thrown out for this one; null when it fits nowhere even alone */
    private function makeRoom(int $g): ?array
    {
        $timeline = $this->decoder->timeline;
        $near = array_values(
            array_filter($this->neighbours->of[$g], fn (int $o): bool => $timeline->placed[$this->groups->members[$o][0]]),
        );
        $sets = $this->sets($near);
        foreach ($sets as $set) {
            $lifted = array_map(fn (int $other): array => $timeline->lift($this->groups->members[$other]), $set);
            if ($this->decoder->insert($g, [], [])) {
                return $set;
            }
            foreach (array_reverse($lifted) as $group) {
                $timeline->putBack($group);
            }
        }
        foreach ($near as $other) {
            $timeline->remove($this->groups->members[$other]);
        }

        return $this->decoder->insert($g, [], []) ? $near : null;
    }

    /**
     * @param list<int> $near
     *
     * @return list<list<int>> single groups, pairs and threes, those that are easily placed first
     */
    private function sets(array $near): array
    {
        $near = $this->random->shuffleArray($near);
        usort($near, fn (int $a, int $b): int => $this->hardness[$a] <=> $this->hardness[$b]);
        $sets = array_map(static fn (int $o): array => [$o], \array_slice($near, 0, self::MOST_SETS));
        $count = \count($near);
        foreach ([2, 3] as $size) {
            for ($draw = 0; $draw < self::MOST_SETS / 2 && $count > $size; ++$draw) {
                $sets[] = array_map(static fn (int|string $k): int => $near[$k], $this->random->pickArrayKeys($near, $size));
            }
        }
        $weight = array_map(function (array $set): int {
            $hard = 0;
            foreach ($set as $o) {
                $hard += $this->hardness[$o];
            }

            return $hard;
        }, $sets);
        asort($weight);

        return array_map(static fn (int $k): array => $sets[$k], \array_slice(array_keys($weight), 0, self::MOST_SETS));
    }
}
