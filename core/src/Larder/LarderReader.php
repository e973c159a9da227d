<?php

declare(strict_types=1);

namespace FeastLadle\Larder;

use FeastLadle\Document\Faults;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Document\JsonText;
use FeastLadle\Document\Node;

/** Reads a larder document, reporting every fault. */
final class LarderReader
{
    /** @throws FaultyDocument */
    public function read(string $json): Larder
    {
        $faults = new Faults();
        $root = JsonText::decode($json, 'larder', $faults);
        $root->onlyKeys(['format', 'version', 'ingredients']);
        $ingredients = [];
        foreach ($root->at('ingredients')->items(2000, 1) as $node) {
            $ingredient = $this->ingredient($node);
            if (isset($ingredients[$ingredient->id])) {
                $node->at('id')->fault('The id "{id}" is used twice.', ['id' => $ingredient->id]);
            }
            $ingredients[$ingredient->id] = $ingredient;
        }
        $faults->throwIfAny('larder');

        return new Larder($ingredients);
    }

    private function ingredient(Node $node): Ingredient
    {
        $node->onlyKeys(['id', 'name', 'density', 'potMl', 'water', 'sugar', 'fat', 'allergens', 'pack', 'each', 'counter', 'names', 'diet', 'small', 'unlike', 'soak', 'cooked']);
        $composition = new Composition($node->at('water')->number(0, 1, 0.0), $node->at('sugar')->number(0, 1, 0.0), $node->at('fat')->number(0, 1, 0.0));
        if ($composition->water + $composition->sugar + $composition->fat > 1.0001) {
            $node->fault('Water, sugar and fat add up to more than the whole.');
        }
        $pack = $node->at('pack');
        $pack->object(['name', 'grams', 'loose']);

        return new Ingredient(
            $node->at('id')->id(),
            $node->at('name')->string(),
            $node->at('density')->number(0.05, 3),
            $node->at('potMl')->number(0.3, 3),
            $composition,
            array_map(static fn (Node $a): string => $a->string(), $node->at('allergens')->items(20)),
            new Pack($pack->at('name')->string(), $pack->at('grams')->number(0.1, 100000), $pack->at('loose')->bool(false)),
            $node->has('each') ? $node->at('each')->number(0.001, 20000) : null,
            $node->at('counter')->string(''),
            array_map(static fn (Node $n): string => $n->string(), $node->at('names')->items(30)),
            $node->at('diet')->enum(Diet::class, Diet::Plant),
            array_map(static fn (Node $n): float => $n->number(0.0001, 1000), $node->at('small')->fields(10)),
            array_map($this->likeness(...), $node->at('unlike')->items(10)),
            $node->has('soak') ? $node->at('soak')->number(0, 10) : null,
            $node->has('cooked') ? $node->at('cooked')->number(0, 20) : null,
        );
    }

    private function likeness(Node $node): Likeness
    {
        $node->object(['name', 'difference']);

        return new Likeness($node->at('name')->string(), $node->at('difference')->string());
    }
}
