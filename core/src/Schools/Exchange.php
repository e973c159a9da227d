<?php

declare(strict_types=1);

namespace FeastLadle\Schools;

/** One thing that goes into a dish in place of another: by a rule of the house, or because a guest avoids it. */
final readonly class Exchange
{
    /** @param float $ratio grams for a gram of what is written */
    public function __construct(public string $for, public string $ingredient, public float $ratio = 1.0)
    {
    }
}
