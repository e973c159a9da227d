<?php

declare(strict_types=1);

namespace FeastLadle\Solving;

use FeastLadle\Modelling\Obstacle;

/** A window that a plan overruns, as nothing else was found, and by how much. */
final readonly class Overrun
{
    public function __construct(public Obstacle $obstacle, public int $minutes)
    {
    }
}
