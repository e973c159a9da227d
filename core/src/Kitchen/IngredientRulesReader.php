<?php

declare(strict_types=1);

namespace FeastLadle\Kitchen;

use FeastLadle\Document\Node;

/** Reads the rules of a house about what may be in a sweet, and what it takes instead. */
final readonly class IngredientRulesReader
{
    /** @return array<string, IngredientRule> */
    public function read(Node $list): array
    {
        $rules = [];
        foreach ($list->items(40) as $node) {
            $node->object(['id', 'name', 'forbids', 'instead']);
            $id = $node->at('id')->id();
            $forbids = array_map(static fn (Node $n): string => $n->id(), $node->at('forbids')->items(300, 1));
            $rules[$id] = new IngredientRule(
                $id,
                $node->at('name')->string(null, 80),
                $forbids,
                $this->instead($node->at('instead'), $forbids),
            );
        }

        return $rules;
    }

    /**
     * @param list<string> $forbids
     *
     * @return array<string, Instead>
     */
    private function instead(Node $list, array $forbids): array
    {
        $instead = [];
        foreach ($list->items(300) as $node) {
            $node->object(['for', 'ingredient', 'ratio', 'caution']);
            $for = $node->at('for')->id();
            $by = $node->at('ingredient')->id();
            if (!\in_array($for, $forbids, true)) {
                $node->at('for')->fault('This rule does not forbid "{id}", so nothing need stand in for it.', ['id' => $for]);
            } elseif (\in_array($by, $forbids, true)) {
                $node->at('ingredient')->fault('This rule forbids "{id}" itself: it can\'t stand in for anything.', ['id' => $by]);
            }
            $instead[$for] = new Instead($by, $node->at('ratio')->number(0.05, 20, 1.0), $node->at('caution')->string('', 200));
        }

        return $instead;
    }
}
