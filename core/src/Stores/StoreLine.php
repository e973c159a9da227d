<?php

declare(strict_types=1);

namespace FeastLadle\Stores;

use FeastLadle\Larder\BuyingPlace;
use FeastLadle\Larder\Ingredient;

/** One thing to have: what the bowls need, what is there already, and what is bought to have the rest. */
final readonly class StoreLine
{
    /**
     * @param array<string, float> $byDish      grams by dish id
     * @param float                $onHandGrams good on the day of the feast
     * @param int                  $packs       whole packs (or loose steps) to buy
     * @param float|null           $price       of a pack; null: not known
     * @param \DateTimeImmutable   $getOn       the day on which it is ordered or fetched
     * @param float                $reserve     grams of the need that only stand by
     */
    public function __construct(
        public Ingredient $ingredient,
        public float $needGrams,
        public array $byDish,
        public int $packs,
        public float $onHandGrams,
        public ?float $price,
        public \DateTimeImmutable $getOn,
        public bool $inSeason,
        public float $reserve = 0.0,
    ) {
    }

    public function buyGrams(): float
    {
        return $this->packs * $this->ingredient->buying->pack->grams;
    }

    public function leftGrams(): float
    {
        return $this->onHandGrams + $this->buyGrams() - $this->needGrams;
    }

    public function cost(): ?float
    {
        return null === $this->price ? null : $this->price * $this->packs;
    }

    /** What is bought, before it is peeled, shelled or pitted; null where nothing is lost. */
    public function beforePreparingGrams(): ?float
    {
        $kept = array_values($this->ingredient->weights->yields)[0] ?? null;

        return null === $kept ? null : $this->needGrams / $kept;
    }

    public function place(): BuyingPlace
    {
        return $this->ingredient->buying->from;
    }
}
