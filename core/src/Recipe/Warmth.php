<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** The temperature a merge wants of one side, in °C. */
final readonly class Warmth
{
    public function __construct(public float $least, public float $most)
    {
    }
}
