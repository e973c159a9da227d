<?php

declare(strict_types=1);

namespace FeastLadle\Larder;

use FeastLadle\Document\Faults;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Document\JsonText;
use FeastLadle\Document\Node;
use FeastLadle\Syrup\Sweetener;

/** Reads a larder document, reporting every fault. */
final class LarderReader
{
    public const FORMAT = 'feast-ladle/larder';

    private const MOST_BROUGHT = 30;

    /** What a thing is of which only the name was said: it weighs what flour or fruit does, a kitchen estimate. */
    public const NAMED_ONLY = ['density' => 0.6, 'potMl' => 0.9, 'pack' => ['name' => 'loose', 'grams' => 100, 'loose' => true]];

    /** @throws FaultyDocument */
    public function read(string $json): Larder
    {
        $faults = new Faults();
        $root = JsonText::decode($json, 'larder', $faults);
        $root->onlyKeys(['format', 'version', 'ingredients']);
        $root->isOf(self::FORMAT, 1);
        $ingredients = [];
        foreach ($root->at('ingredients')->items(2000, 1) as $node) {
            $ingredient = $this->ingredient($node);
            if (isset($ingredients[$ingredient->id])) {
                $node->at('id')->fault('The id "{id}" is used twice.', ['id' => $ingredient->id]);
            }
            $ingredients[$ingredient->id] = $ingredient;
        }
        foreach ($root->at('ingredients')->items(2000) as $node) {
            foreach ($node->at('substitutes')->items(6) as $substitute) {
                if (!isset($ingredients[$substitute->at('use')->text()])) {
                    $substitute->at('use')->fault('The larder holds no "{id}".', ['id' => $substitute->at('use')->text()]);
                }
            }
        }
        $faults->throwIfAny('larder');

        return new Larder($ingredients);
    }

    /**
     * Things that a recipe brings with it. Only id and name have to be told: without a composition a thing is a bowl with a name, and
     * marked as such.
     *
     * @param Node $list of ingredients
     *
     * @return list<Ingredient>
     */
    public function brought(Node $list): array
    {
        $brought = [];
        foreach ($list->items(self::MOST_BROUGHT) as $node) {
            $ingredient = $this->ingredient($node, true);
            if (isset($brought[$ingredient->id])) {
                $node->at('id')->fault('The id "{id}" is used twice.', ['id' => $ingredient->id]);
            }
            $brought[$ingredient->id] = $ingredient;
        }

        return array_values($brought);
    }

    private function ingredient(Node $node, bool $isBrought = false): Ingredient
    {
        $node->onlyKeys([
            'id',
            'name',
            'density',
            'potMl',
            'water',
            'sugar',
            'fat',
            'allergens',
            'pack',
            'each',
            'counter',
            'names',
            'diet',
            'small',
            'unlike',
            'soak',
            'cooked',
            'pressureMinutes',
            'unsoakedTimes',
            'starch',
            'forms',
            'yields',
            'season',
            'leadDays',
            'substitutes',
            'mostCelsius',
            'own',
            'addedSugar',
            'boilsAs',
            'strong',
            'from',
            'hazards',
        ]);
        $composition = new Composition(
            $node->at('water')->number(0, 1, 0.0),
            $node->at('sugar')->number(0, 1, 0.0),
            $node->at('fat')->number(0, 1, 0.0),
            $node->at('starch')->number(0, 1, 0.0),
            $node->has('addedSugar') ? $node->at('addedSugar')->number(0, 1) : null,
            $node->at('boilsAs')->enum(Sweetener::class, Sweetener::Sugar),
        );
        if ($composition->water + $composition->sugar + $composition->fat + $composition->starch > 1.0001) {
            $node->fault('Water, sugar, fat and starch add up to more than the whole.');
        }
        $pack = $node->at('pack');
        if (!$isBrought || $pack->exists()) {
            $pack->object(['name', 'grams', 'loose']);
        }
        $hazards = array_map($this->hazard(...), $node->at('hazards')->items(4));
        $isNamedOnly = $isBrought && [] === array_filter(['water', 'sugar', 'fat', 'starch'], $node->has(...));

        return new Ingredient(
            $node->at('id')->id(),
            $node->at('name')->string(),
            $composition,
            new Weights(
                $node->at('density')->number(0.05, 3, $isBrought ? self::NAMED_ONLY['density'] : null),
                $node->at('potMl')->number(0.3, 3, $isBrought ? self::NAMED_ONLY['potMl'] : null),
                $node->has('each') ? $node->at('each')->number(0.001, 20000) : null,
                $node->at('counter')->string(''),
                array_map(static fn (Node $n): float => $n->number(0.0001, 1000), $node->at('small')->fields(10)),
                array_map(static fn (Node $n): float => $n->number(0.02, 3), $node->at('forms')->fields(8)),
                array_map(static fn (Node $n): float => $n->number(0.02, 1), $node->at('yields')->fields(8)),
                $node->at('strong')->bool(false),
            ),
            new WaterTaken(
                $node->has('soak') ? $node->at('soak')->number(0, 10) : null,
                $node->has('cooked') ? $node->at('cooked')->number(0, 20) : null,
                $node->has('pressureMinutes') ? $node->at('pressureMinutes')->number(1, 120) : null,
                $node->at('unsoakedTimes')->number(1, 5, 1.0),
            ),
            new Buying(
                $pack->exists() || !$isBrought
                    ? new Pack($pack->at('name')->string(), $pack->at('grams')->number(0.1, 100000), $pack->at('loose')->bool(false))
                    : new Pack('loose', 100.0, true),
                $node->at('from')->enum(BuyingPlace::class, BuyingPlace::Grocer),
                array_map(static fn (Node $n): int => $n->int(1, 12), $node->at('season')->items(12)),
                $node->at('leadDays')->int(0, 60, 0),
            ),
            new Caveats(
                array_map(static fn (Node $a): string => $a->string(), $node->at('allergens')->items(20)),
                $node->at('diet')->enum(Origin::class, Origin::Plant),
                $isNamedOnly ? [...$hazards, Danger::Unknown] : $hazards,
            ),
            array_map(static fn (Node $n): string => $n->string(), $node->at('names')->items(30)),
            array_map($this->likeness(...), $node->at('unlike')->items(10)),
            array_map($this->substitute(...), $node->at('substitutes')->items(6)),
            $node->has('mostCelsius') ? $node->at('mostCelsius')->number(20, 200) : null,
            $isBrought || $node->at('own')->bool(false),
        );
    }

    private function hazard(Node $node): Danger
    {
        $danger = $node->enum(Danger::class);
        if (!\in_array($danger, Danger::OF_THINGS, true)) {
            $node->fault('A thing by itself may be a danger of one of these kinds: {known}.', [
                'known' => implode(', ', array_map(static fn (Danger $d): string => $d->value, Danger::OF_THINGS)),
            ]);
        }

        return $danger;
    }

    private function substitute(Node $node): Substitute
    {
        $node->object(['without', 'use', 'ratio', 'caution']);

        return new Substitute(
            $node->at('without')->enum(Without::class),
            $node->at('use')->id(),
            $node->at('ratio')->number(0.05, 20, 1.0),
            $node->at('caution')->string('', 300),
        );
    }

    private function likeness(Node $node): Likeness
    {
        $node->object(['name', 'difference']);

        return new Likeness($node->at('name')->string(), $node->at('difference')->string());
    }
}
