<?php

declare(strict_types=1);

namespace App\Service;

use FeastLadle\Document\Faults;
use FeastLadle\Document\Node;
use FeastLadle\Feast\RecipeShelf;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\RecipeReader;

/** Recipes for a feast file: those that stand in the file itself, then those that ship. Files know no revisions. */
final class FileShelf implements RecipeShelf
{
    /** @var array<string, Recipe> */
    private array $recipes = [];

    /** @param list<Node> $own recipe documents inside the feast file */
    public function __construct(RecipeReader $reader, ShippedFiles $files, array $own, Faults $faults)
    {
        foreach ($files->recipes() as $json) {
            $recipe = $reader->read($json);
            $this->recipes[$recipe->slug] = $recipe;
        }
        foreach ($own as $node) {
            $recipe = $reader->fromNode($node, $faults);
            $this->recipes[$recipe->slug] = $recipe;
        }
    }

    public function find(string $slug, ?int $revision): ?Recipe
    {
        return $this->recipes[$slug] ?? null;
    }
}
