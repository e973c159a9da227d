<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** A dish is given up, or its portions are smaller. */
final readonly class DishChanged implements Happening
{
    public function __construct(public string $dish, public ?float $portion, public bool $givenUp)
    {
    }
}
