<?php

declare(strict_types=1);

namespace FeastLadle\Timing;

use FeastLadle\Heat\Burner;
use FeastLadle\Heat\Flame;

/** A burner with its flame set. */
final readonly class Fire
{
    public function __construct(public Burner $burner, public Flame $flame)
    {
    }
}
