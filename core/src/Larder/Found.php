<?php

declare(strict_types=1);

namespace FeastLadle\Larder;

/** An ingredient that answers to a name that was asked for. */
final readonly class Found
{
    /** @param string $by the name by which it was found */
    public function __construct(public Ingredient $ingredient, public string $by)
    {
    }
}
