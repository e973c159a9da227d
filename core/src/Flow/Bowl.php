<?php

declare(strict_types=1);

namespace FeastLadle\Flow;

/** One measured bowl: an ingredient, how much of it, and how it goes in. */
final readonly class Bowl
{
    public function __construct(public string $ingredient, public float $grams, public string $how)
    {
    }
}
