<?php

declare(strict_types=1);

namespace FeastLadle\Kitchen;

/** A rule of the house or the day about what may be in a sweet: a name, and what it forbids. */
final readonly class IngredientRule
{
    /**
     * @param list<string>           $forbids ingredient ids
     * @param array<string, Instead> $instead what is taken in the place of a forbidden ingredient, by its id
     */
    public function __construct(public string $id, public string $name, public array $forbids, public array $instead = [])
    {
    }
}
