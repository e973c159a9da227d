<?php

declare(strict_types=1);

namespace FeastLadle\Amounts;

use FeastLadle\Flow\Ledger;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Portion\Demand;
use FeastLadle\Portion\Group;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Vessel\Vessel;

/** From what there is: the most that this box, this fruit or this pot makes, and for how many. All in one batch. */
final readonly class Backwards
{
    private const MOST = 1e5;

    public function __construct(private Larder $larder, private Kitchen $kitchen)
    {
    }

    /** Grams of an ingredient that the recipe takes at a factor, reserve counted; strong spice grows slower. */
    public function grams(Recipe $recipe, string $ingredient, float $factor): float
    {
        $grams = 0.0;
        foreach ($recipe->steps as $step) {
            foreach ($step->takes as $take) {
                $grams +=
                    $take->ingredient === $ingredient && null === $take->fatDepthMm
                        ? $take->grown($factor) + $take->reserve * $factor ** $take->exponent
                        : 0.0;
            }
        }

        return $grams;
    }

    /** @return float|null the largest factor; null when the recipe takes none of it */
    public function factorOf(Recipe $recipe, string $ingredient, float $grams): ?float
    {
        return $this->grams($recipe, $ingredient, 1.0) <= 0
            ? null
            : self::largest(fn (float $k): bool => $this->grams($recipe, $ingredient, $k) <= $grams + 1e-9);
    }

    /**
     * The largest factor at which every run that would go into this vessel's kind stays under its limit in it; null when
     * none goes into such a kind.
     */
    public function factorIn(Recipe $recipe, Vessel $vessel): ?float
    {
        $runs = fn (Ledger $l): array => array_filter(
            $l->runs($this->kitchen->rules->fillLimits),
            static fn ($r): bool => $r->kind === $vessel->kind && null === $r->frying(),
        );
        if ([] === $runs($this->ledger($recipe, 1.0))) {
            return null;
        }

        return self::largest(
            fn (float $k): bool => [] ===
                array_filter(
                    $runs($this->ledger($recipe, $k)),
                    static fn ($r): bool => $r->needBrimMl > $vessel->shape->brimfulMl() || $r->isTooMuch(),
                ),
        );
    }

    /** What a factor gives, in the portion's way of counting: grams, or whole pieces. */
    public function yield(Recipe $recipe, float $factor): float
    {
        $ledger = $this->ledger($recipe, $factor);

        return $recipe->portion->countsPieces ? floor($ledger->yieldPieces() + 1e-6) : $ledger->yieldGrams();
    }

    /** The most grown-ups it is enough for, with the usual spare. */
    public function guests(Recipe $recipe, float $yield, float $uptake = 1.0): int
    {
        $low = 0;
        $high = Group::MOST_GUESTS;
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            if (Demand::of($recipe->portion, [new Group('g', 'guests', $middle, 1.0)], $uptake, 0)->total <= $yield + 1e-6) {
                $low = $middle;
            } else {
                $high = $middle - 1;
            }
        }

        return $low;
    }

    /**
     * Factors next to one at which packs of a thing come out whole.
     *
     * @return list<array{name: string, pack: string, packs: int, factor: float}> nearest first
     */
    public function wholePacks(Recipe $recipe, float $near): array
    {
        $found = [];
        foreach ($recipe->steps as $step) {
            foreach ($step->takes as $take) {
                $ingredient = null === $take->ingredient || null !== $take->fatDepthMm ? null : $this->larder->get($take->ingredient);
                if (null === $ingredient || $ingredient->buying->pack->loose || isset($found[$ingredient->id])) {
                    continue;
                }
                $packs = max(1, (int) round($this->grams($recipe, $ingredient->id, $near) / $ingredient->buying->pack->grams));
                $factor = $this->factorOf($recipe, $ingredient->id, $packs * $ingredient->buying->pack->grams);
                if (null !== $factor && $factor >= $near / 2 && $factor <= 2 * $near) {
                    $found[$ingredient->id] = [
                        'name' => $ingredient->name,
                        'pack' => $ingredient->buying->pack->name,
                        'packs' => $packs,
                        'factor' => $factor,
                    ];
                }
            }
        }
        usort($found, static fn (array $a, array $b): int => abs(log($a['factor'] / $near)) <=> abs(log($b['factor'] / $near)));

        return $found;
    }

    private function ledger(Recipe $recipe, float $factor): Ledger
    {
        return Ledger::follow($recipe, $this->larder, $factor, 1, $this->kitchen->climate);
    }

    /** @param \Closure(float): bool $fits true up to a largest factor, false above */
    private static function largest(\Closure $fits): float
    {
        $low = 0.0;
        $high = 1.0;
        while ($fits($high) && $high < self::MOST) {
            $low = $high;
            $high *= 2;
        }
        for ($i = 0; $i < 40; ++$i) {
            $middle = ($low + $high) / 2;
            if ($fits($middle)) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }

    /** Of two limits the one that binds; null where neither is known. */
    public static function tighter(?float $one, ?float $other): ?float
    {
        return null === $one || null === $other ? $one ?? $other : min($one, $other);
    }

    /** @return array<string, string> what a recipe is measured by, id by id; the fat it fries in is not */
    public function things(Recipe $recipe): array
    {
        $things = [];
        foreach ($recipe->steps as $step) {
            foreach ($step->takes as $take) {
                if (null !== $take->ingredient && null === $take->fatDepthMm) {
                    $things[$take->ingredient] = $take->ingredient;
                }
            }
        }

        return $things;
    }
}
