<?php

declare(strict_types=1);

namespace App\Service;

use FeastLadle\Document\Faults;
use FeastLadle\Document\Node;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Recipe\RecipeShelf;
use FeastLadle\Schools\Choices;

/** Recipes for a feast file: those that stand in the file itself, then those that ship. Files know no revisions. */
final class FileShelf implements RecipeShelf
{
    /** @var array<string, string> JSON by slug */
    private array $documents = [];

    /** @var array<string, true> slugs on the way; a recipe can't be its own base */
    private array $reading = [];

    /** @param list<Node> $own recipe documents inside the feast file */
    public function __construct(private readonly RecipeReader $reader, ShippedFiles $files, array $own, Faults $faults)
    {
        foreach ($files->recipes() as $slug => $json) {
            $this->documents[$slug] = $json;
        }
        foreach ($own as $node) {
            $recipe = $this->reader->fromNode($node, $faults, null, $this);
            $this->documents[$recipe->slug] = $node->json();
        }
    }

    public function find(string $slug, ?int $revision, ?Choices $choices = null): ?Recipe
    {
        if (!isset($this->documents[$slug]) || isset($this->reading[$slug])) {
            return null;
        }
        $this->reading[$slug] = true;
        try {
            return $this->reader->read($this->documents[$slug], $choices, $this);
        } finally {
            unset($this->reading[$slug]);
        }
    }
}
