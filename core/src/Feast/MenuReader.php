<?php

declare(strict_types=1);

namespace FeastLadle\Feast;

use FeastLadle\Document\Node;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Recipe\RecipeShelf;
use FeastLadle\Schools\ChoicesReader;

/** Reads the dishes of a feast: which recipe, by which way, how much, in which pots of the kitchen. */
final readonly class MenuReader
{
    public function __construct(private Kitchen $kitchen, private RecipeShelf $recipes)
    {
    }

    /** @return list<Dish> */
    public function read(Node $list): array
    {
        $dishes = [];
        $ids = [];
        foreach ($list->items(26) as $i => $node) {
            $node->object(['id', 'recipe', 'revision', 'portion', 'uptake', 'pots', 'readyEarlier', ...ChoicesReader::FIELDS]);
            $id = $node->at('id')->id();
            if (isset($ids[$id])) {
                $node->at('id')->fault('The id "{id}" is used twice.', ['id' => $id]);
            }
            $ids[$id] = true;
            $slug = $node->at('recipe')->string();
            $revision = $node->has('revision') ? $node->at('revision')->int(1, 1_000_000) : null;
            $recipe = $this->recipes->find($slug, $revision);
            $portion = $node->has('portion') ? $node->at('portion')->number(0.1, 2000) : null;
            $uptake = $node->at('uptake')->number(0.05, 1, 1.0);
            if (null === $recipe) {
                $node
                    ->at('recipe')
                    ->fault('There is no recipe "{slug}"{revision}.', [
                        'slug' => mb_substr($slug, 0, 60),
                        'revision' => null === $revision ? '' : ' in revision '.$revision,
                    ]);
                continue;
            }
            $choices = (new ChoicesReader())->read($node, $recipe->way);
            if (!$choices->isAsWritten()) {
                $recipe = $this->recipes->find($slug, $revision, $choices) ?? $recipe;
            }
            $pots = [];
            foreach ($node->at('pots')->fields(100) as $run => $place) {
                $vessel = $place->string();
                $step = $recipe->steps[$run] ?? null;
                if (null === $step || null === $step->vessel || null !== $step->vessel->continues) {
                    $place->fault('No vessel is begun at a step "{id}" of this recipe.', ['id' => mb_substr($run, 0, 60)]);
                } elseif (!isset($this->kitchen->vessels[$vessel])) {
                    $place->fault('This kitchen has no pot "{id}".', ['id' => mb_substr($vessel, 0, 60)]);
                } elseif ($this->kitchen->vessels[$vessel]->kind !== $step->vessel->kind) {
                    $place->fault('"{name}" is a {kind}, but this step needs a {wanted}.', [
                        'name' => $this->kitchen->vessels[$vessel]->name,
                        'kind' => $this->kitchen->vessels[$vessel]->kind->value,
                        'wanted' => $step->vessel->kind->value,
                    ]);
                } else {
                    $pots[$run] = $vessel;
                }
            }
            $dishes[] = new Dish(
                $id,
                \chr(65 + $i),
                $recipe,
                $portion,
                $uptake,
                $pots,
                false,
                $node->at('readyEarlier')->int(0, Dish::MOST_EARLIER, 0),
            );
        }

        return $dishes;
    }
}
