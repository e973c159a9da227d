<?php

declare(strict_types=1);

namespace FeastLadle\Amounts;

use FeastLadle\Batch\BatchPlan;
use FeastLadle\Batch\SteamWater;
use FeastLadle\Feast\Dish;
use FeastLadle\Feast\Feast;
use FeastLadle\Flow\Ledger;
use FeastLadle\Heat\Climate;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Portion\Demand;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Stores\StoresList;

/** From guests to grams: demand, factor, batches, pots, bowls, stores. */
final readonly class QuantityPlanner
{
    private const BASE_LEVELS = 3;

    private const MOST_ROUNDS = 3;

    public function __construct(private Larder $larder)
    {
    }

    public function plan(Feast $feast, Kitchen $kitchen, Making $making = new Making()): Quantities
    {
        $means = KitchenMeans::of($kitchen, $this->larder);
        $asWritten = [];
        $plate = 0.0;
        foreach ($feast->dishes as $dish) {
            $ledger = Ledger::follow($dish->recipe, $this->larder, 1.0, 1, $kitchen->climate);
            $asWritten[$dish->id] = $ledger;
            $plate += ($dish->portion ?? $dish->recipe->portion->amount) * $dish->uptake * $this->gramsOfOne($dish, $ledger);
        }
        $plateShare = null === $feast->plateCapGrams || $plate <= $feast->plateCapGrams ? 1.0 : $feast->plateCapGrams / $plate;

        $dishes = [];
        $measured = [];
        $inUse = [];
        foreach ($feast->dishes as $dish) {
            $least = $making->batches[$dish->id] ?? 1;
            $planned = $this->dish($feast, $dish, $asWritten[$dish->id], $plateShare, $means, $inUse, $least);
            $dishes[$dish->id] = $planned;
            $measured[$dish->id] = $planned->measured;
            foreach ($planned->batchPlan->pots as $choice) {
                foreach ($choice->vessels as $vessel) {
                    $inUse[$vessel->id] = ($inUse[$vessel->id] ?? 0) + 1;
                }
            }
        }

        foreach ($this->bases($dishes, $means, $feast->firstMoment()->at, $inUse, $making) as $id => $planned) {
            $dishes[$id] = $planned;
            $measured[$id] = $planned->measured;
        }

        return new Quantities(
            $dishes,
            StoresList::from($measured, $this->larder, $kitchen, $feast->firstMoment()->at, $this->reserves($dishes)),
            $plateShare,
            $making,
        );
    }

    /** What making so much of a base takes by itself, whoever takes from it. */
    public function making(Recipe $base, float $grams, Kitchen $kitchen): PlannedDish
    {
        return $this->base(Dish::base($base, 'a'), $grams, KitchenMeans::of($kitchen, $this->larder), []);
    }

    /** @param array<string, int> $inUse */
    private function base(Dish $dish, float $grams, KitchenMeans $means, array $inUse, int $least = 1): PlannedDish
    {
        $asWritten = Ledger::follow($dish->recipe, $this->larder, 1.0, 1, $means->kitchen->climate);

        return $this->planned(
            $dish,
            Demand::exactly($dish->recipe->portion, $grams / $this->gramsOfOne($dish, $asWritten)),
            $asWritten,
            $means,
            $inUse,
            $least,
        );
    }

    /**
     * @param array<string, PlannedDish> $dishes
     *
     * @return array<string, float> grams that only stand by, by ingredient
     */
    private function reserves(array $dishes): array
    {
        $reserves = [];
        foreach ($dishes as $planned) {
            foreach ($planned->bowls as $step => $bowls) {
                $times = $planned->dish->recipe->step($step)->work->times($planned->batchPlan->batches);
                foreach ($bowls as $bowl) {
                    if ($bowl->reserve) {
                        $reserves[$bowl->ingredient->id] = ($reserves[$bowl->ingredient->id] ?? 0.0) + $times * $bowl->grams;
                    }
                }
            }
        }

        return $reserves;
    }

    /**
     * What the dishes take of other recipes, each made once for all of them; bases may take from bases.
     *
     * @param array<string, PlannedDish> $dishes
     * @param array<string, int>         $inUse
     *
     * @return array<string, PlannedDish>
     */
    private function bases(array $dishes, KitchenMeans $means, \DateTimeImmutable $day, array $inUse, Making $making): array
    {
        /** @var array<string, PlannedDish> $bases */
        $bases = [];
        $letters = [];
        // A base of a base asks for more of what was planned before: as often as there are levels.
        for ($round = 0; $round < self::BASE_LEVELS; ++$round) {
            $need = [];
            $recipes = [];
            foreach ([...$dishes, ...$bases] as $planned) {
                foreach ($planned->batchPlan->ledger->bases() as $slug => $grams) {
                    $need[$slug] = ($need[$slug] ?? 0.0) + $grams;
                    $recipes[$slug] = $planned->dish->recipe->bases[$slug];
                }
            }
            foreach ($need as $slug => $grams) {
                // What stands ready in the pantry is not made again.
                $grams -= $this->standing($means->kitchen, $slug, $day);
                if ($grams <= 1e-6) {
                    continue;
                }
                $letters[$slug] ??= \chr(97 + \count($letters));
                $dish = Dish::base($recipes[$slug], $letters[$slug]);
                $bases[$dish->id] = $this->base($dish, $grams, $means, $inUse, $making->batches[$dish->id] ?? 1);
            }
        }

        return $bases;
    }

    private function standing(Kitchen $kitchen, string $slug, \DateTimeImmutable $day): float
    {
        $grams = 0.0;
        foreach ($kitchen->storeroom->pantry as $onHand) {
            $grams += $onHand->what === $slug && $onHand->isGoodOn($day) ? $onHand->grams : 0.0;
        }

        return $grams;
    }

    /** Grams of one unit of the portion: a gram, or a finished piece. */
    private function gramsOfOne(Dish $dish, Ledger $asWritten): float
    {
        $pieces = $asWritten->yieldPieces();

        return $dish->recipe->portion->countsPieces && $pieces > 0 ? $asWritten->yieldGrams() / $pieces : 1.0;
    }

    /** @param array<string, int> $inUse */
    private function dish(
        Feast $feast,
        Dish $dish,
        Ledger $asWritten,
        float $plateShare,
        KitchenMeans $means,
        array $inUse,
        int $least,
    ): PlannedDish {
        $usual = $dish->recipe->portion;
        $portion = $usual->withAmount(($dish->portion ?? $usual->amount) * $plateShare);

        $demand = Demand::of($portion, $feast->groups, $dish->uptake, $feast->bowls(), $feast->inBoxes($dish));
        $calls = array_values(
            array_filter(DemandCurve::called($feast, $dish->id, $demand), static fn (array $row): bool => $row['now'] > 0),
        );

        return $this->planned($dish, $demand, $asWritten, $means, $inUse, max($least, Waves::leastBatches($dish->recipe, $calls)));
    }

    /** @param array<string, int> $inUse */
    private function planned(Dish $dish, Demand $demand, Ledger $asWritten, KitchenMeans $means, array $inUse, int $least = 1): PlannedDish
    {
        $steam = [];
        // The water depends on pot and fire, and the pot on the water.
        for ($round = 0;; ++$round) {
            $factorFor = fn (int $batches): float => $this->factor($dish, $demand, $asWritten, $batches, $steam, $means->kitchen->climate);
            $plan = $means->chooser->plan($dish->recipe, $factorFor, $dish->pots, $inUse, $least, $steam);
            $here = BoilsAway::here($plan, $factorFor($plan->batches) / $plan->batches, $means->kitchen, $means->timer);
            // @phpstan-ignore equal.notAllowed (the same shares, in whatever order)
            if ($round >= self::MOST_ROUNDS || $here == $steam) {
                break;
            }
            $steam = $here;
        }
        [$measured, $bowls] = $this->measure($plan, $means->writer);

        return new PlannedDish(
            $dish,
            $demand,
            $factorFor($plan->batches),
            $demand->portion->amount * $this->gramsOfOne($dish, $asWritten),
            $plan,
            $measured,
            $bowls,
            $this->steamWater($plan, $means),
        );
    }

    /** @return array<string, SteamWater> by step id; for the strongest fire, which wants the most */
    private function steamWater(BatchPlan $plan, KitchenMeans $means): array
    {
        $water = [];
        $strongest = $means->kitchen->strongestFire();
        foreach ($plan->potOfStep() as $id => $pot) {
            $flow = $plan->ledger->flow($id);
            if (Process::Steam === $flow->step->process && null !== $strongest) {
                $minutes = $means->timer->minutes($flow, $pot, 1.0, $strongest);
                $water[$id] = SteamWater::under($pot->vessel(), $minutes->exact ?? 0.0, $strongest->netKw($flow->step->work->flame));
            }
        }

        return $water;
    }

    /**
     * How many times the recipe as written makes what is needed; for pieces, a whole number from every batch.
     *
     * @param array<string, float> $steam
     */
    private function factor(Dish $dish, Demand $demand, Ledger $asWritten, int $batches, array $steam, Climate $climate): float
    {
        $pieces = $demand->portion->countsPieces;
        $need = $pieces ? $batches * ceil($demand->total / $batches - 1e-9) : $demand->total;
        $yield = $pieces ? $asWritten->yieldPieces() : $asWritten->yieldGrams();
        if ($yield <= 0.0) {
            // It is named as what can't be made; its amounts are those of the recipe.
            return 1.0;
        }
        $factor = $need / $yield;
        // Spice grows slower than the body, and what boils off not at all, so the yield is not the plain multiple: a few
        // corrections close it.
        for ($i = 0; $i < 8; ++$i) {
            $grown = Ledger::follow($dish->recipe, $this->larder, $factor, $batches, $climate, $steam);
            $short = $need / ($pieces ? $grown->yieldPieces() : $grown->yieldGrams());
            $factor *= $short;
            if (abs($short - 1) < 1e-5) {
                break;
            }
        }

        return $factor;
    }

    /** @return array{array<string, float>, array<string, list<MeasuredBowl>>} grams by ingredient over all batches; bowls by step */
    private function measure(BatchPlan $plan, AmountWriter $writer): array
    {
        $measured = [];
        $bowls = [];
        foreach ($plan->ledger->flows as $id => $flow) {
            $times = $flow->step->work->times($plan->batches);
            $bowls[$id] = [];
            foreach ($flow->bowls as $bowl) {
                $ingredient = $this->larder->get($bowl->ingredient);
                $grams = $writer->measuredGrams($ingredient, $bowl->grams);
                $measured[$bowl->ingredient] = ($measured[$bowl->ingredient] ?? 0.0) + $times * $grams;
                $bowls[$id][] = new MeasuredBowl(
                    $ingredient,
                    $grams,
                    $writer->main($ingredient, $grams),
                    $writer->byCup($ingredient, $grams),
                    $bowl->how,
                    false,
                    $bowl->grams,
                    $bowl->baseGrams,
                    $bowl->exponent,
                    $bowl->boilsOff,
                    $bowl->boilsOffAsWritten,
                    $bowl->manner,
                );
                if ($bowl->reserve > 0) {
                    // The reserve is bought and stands ready, whether or not it goes in.
                    $grams = $writer->measuredGrams($ingredient, $bowl->reserve);
                    $measured[$bowl->ingredient] += $times * $grams;
                    $bowls[$id][] = new MeasuredBowl(
                        $ingredient,
                        $grams,
                        $writer->main($ingredient, $grams),
                        $writer->byCup($ingredient, $grams),
                        $bowl->how,
                        true,
                        manner: $bowl->manner,
                    );
                }
            }
        }
        foreach ($plan->pots as $choice) {
            $step = $choice->run->frying();
            if (null === $choice->frying || null === $step) {
                continue;
            }
            foreach ($step->takes as $take) {
                if (null !== $take->fatDepthMm && null !== $take->ingredient) {
                    $ingredient = $this->larder->get($take->ingredient);
                    // One panful of fat serves all batches, topped up by what the pieces drink.
                    $drunk = $plan->ledger->flow($step->id)->fatDrunk * $step->work->times($plan->batches);
                    $grams = $writer->measuredGrams($ingredient, $choice->frying->fatGrams);
                    $topUp = $choice->frying->topUpGrams($drunk, $grams);
                    $measured[$take->ingredient] =
                        ($measured[$take->ingredient] ?? 0.0) + $grams + ($topUp > 0 ? $writer->measuredGrams($ingredient, $topUp) : 0.0);
                    $bowls[$step->id][] = new MeasuredBowl(
                        $ingredient,
                        $grams,
                        $writer->main($ingredient, $grams),
                        $writer->byCup($ingredient, $grams),
                        $take->how,
                    );
                }
            }
        }

        return [$measured, $bowls];
    }
}
