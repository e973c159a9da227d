<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

use Random\Randomizer;

/**
 * Finds a good order to place groups in by breeding: of orders as random keys the better hand on most of theirs (biased random-key genetic
 * algorithm, Gonçalves and Resende 2011); each is decoded anew, and the cheapest schedule is kept.
 */
final class Evolving
{
    private const POPULATION = 24;
    private const ELITE = 6;
    private const STRANGERS = 4;

    /** Percent of keys that come from the better parent, and of children with a key of their own. */
    private const BIAS = 70;
    private const MUTANTS = 50;

    private const KEYS = 1 << 20;

    /** Where in its options an activity begins: the half as they stand, the others so far on. */
    private const MOST_ROTATED = 5;

    /**
     * @var list<array{int, array<int, float>, array<int, int>, string}> cost, keys by group, rotation by activity, all starts; the
     *     cheapest first
     */
    private array $population = [];

    /** @var list<array{int, int, int, array<int, list<int>>}> the cheapest schedule, as lifted */
    private array $best;

    private int $least;

    public int $tried = 0;

    public function __construct(
        private readonly Network $network,
        private readonly Groups $groups,
        private readonly Decoder $decoder,
        private readonly Cost $cost,
        private readonly Randomizer $random,
        private readonly ?Justification $justification = null,
    ) {
        $this->least = $cost->now();
        $this->best = $decoder->timeline->lift(range(0, $network->size - 1));
    }

    /** Until so much work is done; the cheapest schedule that was found then stands, the one that stood before among them. */
    public function until(int $work, int $iterations, int $bound): void
    {
        $timeline = $this->decoder->timeline;
        while ($timeline->work < $work && $this->tried < $iterations && $this->least > $bound) {
            $strangers = \count($this->population) < self::POPULATION || $this->tried % self::POPULATION < self::STRANGERS;
            [$keys, $rotation] = $strangers ? $this->stranger() : $this->child();
            $this->grow($keys, $rotation);
        }
        $timeline->clear();
        $timeline->putBack($this->best);
    }

    /**
     * @param array<int, float> $keys
     * @param array<int, int>   $rotation
     */
    private function grow(array $keys, array $rotation): void
    {
        ++$this->tried;
        if (!$this->decoder->decode($keys, [], $rotation)) {
            return;
        }
        $cost = $this->cost->now();
        $this->keep($cost);
        $pushed = $this->justification?->push($rotation);
        if (null !== $pushed && $this->cost->now() <= $cost) {
            $cost = $this->cost->now();
            $keys = $this->spread($pushed);
            $this->keep($cost);
        }
        $name = implode(' ', $this->decoder->timeline->start);
        foreach ($this->population as [$as, , , $other]) {
            if ($as === $cost && $other === $name) {
                return;
            }
        }
        $this->population[] = [$cost, $keys, $rotation, $name];
        usort($this->population, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $this->population = \array_slice($this->population, 0, self::POPULATION);
    }

    private function keep(int $cost): void
    {
        if ($cost < $this->least) {
            $this->least = $cost;
            $this->best = $this->decoder->timeline->lift(range(0, $this->network->size - 1));
            $this->decoder->timeline->putBack($this->best);
        }
    }

    /**
     * Times as keys between 0 and 1, in the same order.
     *
     * @param array<int, float> $times
     *
     * @return array<int, float>
     */
    private function spread(array $times): array
    {
        $low = min($times ?: [0.0]);
        $range = max(1.0, max($times ?: [0.0]) - $low);

        return array_map(static fn (float $time): float => ($time - $low) / $range, $times);
    }

    /** @return array{array<int, float>, array<int, int>} */
    private function stranger(): array
    {
        $keys = $rotation = [];
        foreach ($this->groups->members as $g => $_) {
            $keys[$g] = $this->key();
        }
        for ($i = 0; $i < $this->network->size; ++$i) {
            $rotation[$i] = max(0, $this->random->getInt(-self::MOST_ROTATED, self::MOST_ROTATED));
        }

        return [$keys, $rotation];
    }

    /** @return array{array<int, float>, array<int, int>} */
    private function child(): array
    {
        [, $keys, $rotation] = $this->population[$this->random->getInt(0, self::ELITE - 1)];
        [, $otherKeys, $otherRotation] = $this->population[$this->random->getInt(0, \count($this->population) - 1)];
        foreach ($otherKeys as $g => $key) {
            $keys[$g] = $this->random->getInt(1, 100) > self::BIAS ? $key : $keys[$g];
        }
        foreach ($otherRotation as $i => $at) {
            $rotation[$i] = $this->random->getInt(1, 100) > self::BIAS ? $at : $rotation[$i];
        }
        if ($this->random->getInt(1, 100) <= self::MUTANTS) {
            $keys[$this->random->getInt(0, \count($keys) - 1)] = $this->key();
        }
        if ($this->random->getInt(1, 100) <= self::MUTANTS) {
            $rotation[$this->random->getInt(0, \count($rotation) - 1)] = $this->random->getInt(0, self::MOST_ROTATED);
        }

        return [$keys, $rotation];
    }

    private function key(): float
    {
        return $this->random->getInt(0, self::KEYS) / self::KEYS;
    }
}
