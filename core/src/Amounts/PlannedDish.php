<?php

declare(strict_types=1);

namespace FeastLadle\Amounts;

use FeastLadle\Batch\BatchPlan;
use FeastLadle\Batch\SteamWater;
use FeastLadle\Feast\Dish;
use FeastLadle\Flow\Ledger;
use FeastLadle\Portion\Demand;
use FeastLadle\Recipe\Step;

/** A dish with all its quantities. */
final readonly class PlannedDish
{
    /**
     * @param float                             $factor       how many times the recipe as written
     * @param float                             $portionGrams grams of the portion that a grown-up gets
     * @param array<string, float>              $measured     ingredient id → grams over all bowls of all batches, as they are measured
     * @param array<string, list<MeasuredBowl>> $bowls        by step id: the bowls of one batch (or of the one go)
     * @param array<string, SteamWater>         $steamWater   under the rack, by step id
     */
    public function __construct(
        public Dish $dish,
        public Demand $demand,
        public float $factor,
        public float $portionGrams,
        public BatchPlan $batchPlan,
        public array $measured,
        public array $bowls,
        public array $steamWater = [],
    ) {
    }

    public function wishedAs(Dish $dish): self
    {
        return $this->with($dish, $this->batchPlan);
    }

    /** With what really went into its pots. */
    public function cookedAs(Ledger $ledger): self
    {
        return $this->with($this->dish, $this->batchPlan->withLedger($ledger));
    }

    private function with(Dish $dish, BatchPlan $batchPlan): self
    {
        return new self(
            $dish,
            $this->demand,
            $this->factor,
            $this->portionGrams,
            $batchPlan,
            $this->measured,
            $this->bowls,
            $this->steamWater,
        );
    }

    /** The batch as a multiple of the recipe as written. */
    public function scale(): float
    {
        return $this->factor / $this->batchPlan->batches;
    }

    /** What one doing of a step is, as a multiple of the recipe as written: a batch, or all of them at once. */
    public function scaleOf(Step $step): float
    {
        return $step->work->once ? $this->factor : $this->scale();
    }

    public function canBeCooked(): bool
    {
        return [] === $this->batchPlan->missing;
    }
}
