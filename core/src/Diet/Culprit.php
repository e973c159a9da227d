<?php

declare(strict_types=1);

namespace FeastLadle\Diet;

use FeastLadle\Larder\Ingredient;

/** What keeps a dish from a group: the thing, why, and what could stand in for it, at so many grams for one. */
final readonly class Culprit
{
    public function __construct(
        public Source $source,
        public string $why,
        public ?Ingredient $substitute,
        public string $caution = '',
        public float $ratio = 1.0,
    ) {
    }
}
