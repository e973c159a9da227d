<?php

declare(strict_types=1);

namespace FeastLadle\Measure;

/** A scale of the kitchen: the finest step it shows, and the most it carries. */
final readonly class Scale
{
    public function __construct(public float $stepGrams, public float $mostGrams)
    {
    }
}
