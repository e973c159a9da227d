<?php

declare(strict_types=1);

namespace FeastLadle\Flow;

use FeastLadle\Recipe\Manner;

/** One measured bowl: an ingredient, how much of it for sure and in reserve, how it goes in, and what it grew from. */
final readonly class Bowl
{
    public function __construct(
        public string $ingredient,
        public float $grams,
        public string $how,
        public float $reserve = 0.0,
        public float $baseGrams = 0.0,
        public float $exponent = 1.0,
        public float $boilsOff = 0.0,
        public float $boilsOffAsWritten = 0.0,
        public ?Manner $manner = null,
    ) {
    }
}
