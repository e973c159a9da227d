<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Schools\Choices;

/** For reading a recipe by itself: no bases are found. */
final class NoShelf implements RecipeShelf
{
    public function find(string $slug, ?int $revision, ?Choices $choices = null): ?Recipe
    {
        return null;
    }
}
