<?php

declare(strict_types=1);

namespace FeastLadle\Stores;

use FeastLadle\Larder\Ingredient;

/** One thing to have: what the bowls need, and what is bought to have it. */
final readonly class StoreLine
{
    /**
     * @param array<string, float> $byDish grams by dish id
     * @param int                  $packs  whole packs (or loose steps) to buy
     */
    public function __construct(public Ingredient $ingredient, public float $needGrams, public array $byDish, public int $packs)
    {
    }

    public function buyGrams(): float
    {
        return $this->packs * $this->ingredient->pack->grams;
    }

    public function leftGrams(): float
    {
        return $this->buyGrams() - $this->needGrams;
    }
}
