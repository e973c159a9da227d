<?php

declare(strict_types=1);

namespace FeastLadle\Feast;

use FeastLadle\Recipe\Recipe;

/** Where a feast finds the recipes it names. */
interface RecipeShelf
{
    /** @param int|null $revision null: the newest */
    public function find(string $slug, ?int $revision): ?Recipe;
}
