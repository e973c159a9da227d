<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Amounts\Quantities;
use FeastLadle\Amounts\QuantityPlanner;
use FeastLadle\Diet\Sources;
use FeastLadle\Feast\Feast;
use FeastLadle\Heat\Flame;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\BuyingPlace;
use FeastLadle\Larder\Ingredient;
use FeastLadle\Larder\Larder;
use FeastLadle\Modelling\StepNeeds;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\Base;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Timing\StepTimer;

/** A base that dishes of the feast take from, made against bought: grams, minutes, money, and what its label brings in. */
final readonly class MakeOrBuy
{
    /**
     * @param list<PlannedDish> $takers      dishes that take from it
     * @param bool              $isBought    by all of them; some may still make it
     * @param float             $makeGrams   of the home-made one, over all dishes
     * @param int|null          $handMinutes for making it, those of two people counted twice; null: this kitchen can't
     * @param int               $fireMinutes on a fire
     * @param float|null        $makeCost    of what goes in; null when nothing of it has a price
     * @param list<string>      $unpriced    names of what goes in and has no price
     * @param Ingredient|null   $bought      what stands for it; null: it can only be made
     * @param list<string>      $brings      allergens that the bought one has and the home-made has not
     */
    private function __construct(
        public Recipe $base,
        public array $takers,
        public bool $isBought,
        public float $makeGrams,
        public ?int $handMinutes,
        public int $fireMinutes,
        public ?float $makeCost,
        public array $unpriced,
        public ?Ingredient $bought,
        public float $buyGrams,
        public ?float $buyCost,
        public array $brings,
    ) {
    }

    /** @return array<string, self> by slug of the base */
    public static function all(Feast $feast, Kitchen $kitchen, Quantities $quantities, Larder $larder): array
    {
        $takers = $grams = $recipes = [];
        $isBought = [];
        foreach ($quantities->dishes as $planned) {
            $recipe = $planned->dish->recipe;
            foreach ($recipe->steps as $step) {
                foreach ($step->takes as $take) {
                    if (null !== $take->base) {
                        $recipes[$take->base] = $recipe->bases[$take->base];
                        $takers[$take->base][$planned->dish->id] = $planned;
                        $grams[$take->base] = ($grams[$take->base] ?? 0.0) + $take->grams * $planned->factor;
                        $isBought[$take->base] = ($isBought[$take->base] ?? true) && $recipe->buys($take->base);
                    }
                }
            }
        }
        $found = [];
        foreach ($recipes as $slug => $recipe) {
            if (null !== $recipe->base) {
                $found[$slug] = self::of(
                    $recipe,
                    $recipe->base,
                    array_values($takers[$slug]),
                    $isBought[$slug],
                    $grams[$slug],
                    $feast,
                    $kitchen,
                    $larder,
                );
            }
        }

        return $found;
    }

    /** @param list<PlannedDish> $takers */
    private static function of(
        Recipe $recipe,
        Base $base,
        array $takers,
        bool $isBought,
        float $grams,
        Feast $feast,
        Kitchen $kitchen,
        Larder $larder,
    ): self {
        $made = (new QuantityPlanner($larder))->making($recipe, $grams, $kitchen);
        [$hands, $fires] = self::minutes($made, $feast, $kitchen, $larder);
        $cost = null;
        $unpriced = [];
        foreach ($made->measured as $id => $each) {
            $ingredient = $larder->get($id);
            if (isset($kitchen->storeroom->prices[$id])) {
                $cost = ($cost ?? 0.0) + ($kitchen->storeroom->prices[$id] * $each) / $ingredient->buying->pack->grams;
            } elseif (BuyingPlace::House !== $ingredient->buying->from) {
                $unpriced[] = $ingredient->name;
            }
        }
        $bought = null === $base->bought ? null : $larder->get($base->bought);
        $buyGrams = $grams * $base->ratio;
        // The kitchen's own price of a pack knows better than the recipe's of a kilogram.
        $buyCost = match (true) {
            null === $bought => null,
            isset($kitchen->storeroom->prices[$bought->id]) => $kitchen->storeroom->prices[$bought->id] *
                ceil($buyGrams / $bought->buying->pack->grams - 1e-9),
            null !== $base->pricePerKg => ($base->pricePerKg * $buyGrams) / 1000,
            default => null,
        };
        $brings =
            null === $bought
                ? []
                : array_values(
                    array_diff(
                        array_unique([...$bought->caveats->allergens, ...$base->allergens]),
                        (new Sources($larder))->allergens($recipe),
                    ),
                );

        return new self($recipe, $takers, $isBought, $grams, $hands, $fires, $cost, $unpriced, $bought, $buyGrams, $buyCost, $brings);
    }

    /** @return array{int|null, int} by hand and on a fire */
    private static function minutes(PlannedDish $made, Feast $feast, Kitchen $kitchen, Larder $larder): array
    {
        $found = $made->canBeCooked() ? (new StepNeeds($feast, $kitchen, $larder, new StepTimer($kitchen, $larder)))->of($made) : null;
        if (!\is_array($found)) {
            return [null, 0];
        }
        $hands = $fires = 0;
        foreach ($made->dish->recipe->steps as $step) {
            $minutes = $found[1][$step->id]->likely * $step->work->times($made->batchPlan->batches);
            $hands += AttentionKind::Constant === $step->work->attention->kind ? $minutes * $step->work->attention->people : 0;
            $fires += Flame::None === $step->work->flame ? 0 : $minutes;
        }

        return [$hands, $fires];
    }
}
