<?php

declare(strict_types=1);

namespace FeastLadle\Diet;

use FeastLadle\Larder\Ingredient;

/** Something that gets into a dish, with the base it comes through, and what must be read off the label of a bought one. */
final readonly class Source
{
    /** @param list<string> $allergens */
    public function __construct(public ?Ingredient $ingredient, public string $name, public array $allergens, public string $through = '')
    {
    }
}
