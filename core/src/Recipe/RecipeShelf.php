<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Schools\Choices;

/** Where a feast finds the recipes it names, and a recipe its bases. */
interface RecipeShelf
{
    /**
     * @param int|null     $revision null: the newest
     * @param Choices|null $choices  null: as written
     */
    public function find(string $slug, ?int $revision, ?Choices $choices = null): ?Recipe;
}
