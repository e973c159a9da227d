<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** How long an output keeps, and where. */
final readonly class Keeping
{
    public function __construct(public int $minutes, public KeepingPlace $place)
    {
    }
}
