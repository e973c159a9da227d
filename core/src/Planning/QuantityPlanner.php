<?php

declare(strict_types=1);

namespace FeastLadle\Planning;

use FeastLadle\Batch\BatchPlan;
use FeastLadle\Batch\PotChooser;
use FeastLadle\Feast\Dish;
use FeastLadle\Feast\Feast;
use FeastLadle\Flow\Ledger;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Portion\Demand;
use FeastLadle\Stores\StoresList;

/** From guests to grams: demand, factor, batches, pots, bowls, stores. */
final readonly class QuantityPlanner
{
    public function __construct(private Larder $larder)
    {
    }

    public function plan(Feast $feast, Kitchen $kitchen): Quantities
    {
        $chooser = new PotChooser($kitchen, $this->larder);
        $writer = new AmountWriter($kitchen->cupMl, $kitchen->scaleStepGrams);
        $asWritten = [];
        $plate = 0.0;
        foreach ($feast->dishes as $dish) {
            $ledger = Ledger::follow($dish->recipe, $this->larder, 1.0, 1, $kitchen->roomCelsius, $kitchen->boilingCelsius());
            $asWritten[$dish->id] = $ledger;
            $plate += ($dish->portion ?? $dish->recipe->portion->amount) * $dish->uptake * $this->gramsOfOne($dish, $ledger);
        }
        $plateShare = null === $feast->plateCapGrams || $plate <= $feast->plateCapGrams ? 1.0 : $feast->plateCapGrams / $plate;

        $dishes = [];
        $measured = [];
        $inUse = [];
        foreach ($feast->dishes as $dish) {
            $planned = $this->dish($feast, $dish, $asWritten[$dish->id], $plateShare, $chooser, $writer, $inUse);
            $dishes[$dish->id] = $planned;
            $measured[$dish->id] = $planned->measured;
            foreach ($planned->batchPlan->pots as $choice) {
                foreach ($choice->vessels as $vessel) {
                    $inUse[$vessel->id] = ($inUse[$vessel->id] ?? 0) + 1;
                }
            }
        }

        return new Quantities($dishes, StoresList::from($measured, $this->larder), $plateShare);
    }

    /** Grams of one unit of the portion: a gram, or a finished piece. */
    private function gramsOfOne(Dish $dish, Ledger $asWritten): float
    {
        return $dish->recipe->portion->countsPieces ? $asWritten->yieldGrams() / $asWritten->yieldPieces() : 1.0;
    }

    /** @param array<string, int> $inUse */
    private function dish(Feast $feast, Dish $dish, Ledger $asWritten, float $plateShare, PotChooser $chooser, AmountWriter $writer, array $inUse): PlannedDish
    {
        $usual = $dish->recipe->portion;
        $portion = $usual->withAmount(($dish->portion ?? $usual->amount) * $plateShare);
        $demand = Demand::of($portion, $feast->groups, $dish->uptake, $feast->bowls());
        $factorFor = fn (int $batches): float => $this->factor($dish, $demand, $asWritten, $batches);
        $plan = $chooser->plan($dish->recipe, $factorFor, $dish->pots, $inUse);
        [$measured, $bowls] = $this->measure($plan, $writer);

        return new PlannedDish($dish, $demand, $factorFor($plan->batches), $portion->amount * $this->gramsOfOne($dish, $asWritten), $plan, $measured, $bowls);
    }

    /** How many times the recipe as written makes what is needed; for pieces, a whole number from every batch. */
    private function factor(Dish $dish, Demand $demand, Ledger $asWritten, int $batches): float
    {
        $pieces = $demand->portion->countsPieces;
        $need = $pieces ? $batches * ceil($demand->total / $batches - 1e-9) : $demand->total;
        $factor = $need / ($pieces ? $asWritten->yieldPieces() : $asWritten->yieldGrams());
        // Spice grows slower than the body, so the yield falls a trace short of the plain multiple: two corrections close it.
        for ($i = 0; $i < 2; ++$i) {
            $grown = Ledger::follow($dish->recipe, $this->larder, $factor, $batches);
            $factor *= $need / ($pieces ? $grown->yieldPieces() : $grown->yieldGrams());
        }

        return $factor;
    }

    /** @return array{array<string, float>, array<string, list<MeasuredBowl>>} grams by ingredient over all batches; bowls by step */
    private function measure(BatchPlan $plan, AmountWriter $writer): array
    {
        $measured = [];
        $bowls = [];
        foreach ($plan->ledger->flows as $id => $flow) {
            $times = $flow->step->once ? 1 : $plan->batches;
            $bowls[$id] = [];
            foreach ($flow->bowls as $bowl) {
                $ingredient = $this->larder->get($bowl->ingredient);
                $grams = $writer->measuredGrams($ingredient, $bowl->grams);
                $measured[$bowl->ingredient] = ($measured[$bowl->ingredient] ?? 0.0) + $times * $grams;
                $bowls[$id][] = new MeasuredBowl($ingredient, $grams, $writer->main($ingredient, $grams), $writer->byCup($ingredient, $grams), $bowl->how);
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
                    $drunk = $plan->ledger->flow($step->id)->fatDrunk * ($step->once ? 1 : $plan->batches);
                    $grams = $writer->measuredGrams($ingredient, $choice->frying->fatGrams);
                    $topUp = max(0.0, $drunk - 0.15 * $grams);
                    $measured[$take->ingredient] = ($measured[$take->ingredient] ?? 0.0) + $grams + ($topUp > 0 ? $writer->measuredGrams($ingredient, $topUp) : 0.0);
                    $bowls[$step->id][] = new MeasuredBowl($ingredient, $grams, $writer->main($ingredient, $grams), $writer->byCup($ingredient, $grams), $take->how);
                }
            }
        }

        return [$measured, $bowls];
    }
}
