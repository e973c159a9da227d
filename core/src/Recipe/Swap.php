<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Larder\Substitute;
use FeastLadle\Larder\Without;

/** An ingredient that was replaced because a guest must do without, or for which nothing is known that replaces it. */
final readonly class Swap
{
    /** @param Without|null $without null where it was exchanged by choice */
    public function __construct(public ?Without $without, public string $step, public string $ingredient, public ?Substitute $by)
    {
    }
}
