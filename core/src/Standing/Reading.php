<?php

declare(strict_types=1);

namespace FeastLadle\Standing;

/** How warm something is in a minute of the plan. */
final readonly class Reading
{
    public function __construct(public float $minute, public float $celsius)
    {
    }
}
