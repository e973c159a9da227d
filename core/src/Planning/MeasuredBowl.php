<?php

declare(strict_types=1);

namespace FeastLadle\Planning;

use FeastLadle\Larder\Ingredient;

/** A bowl as it is measured out, rounded for this kitchen. */
final readonly class MeasuredBowl
{
    public function __construct(public Ingredient $ingredient, public float $grams, public string $amount, public string $byCup, public string $how)
    {
    }
}
