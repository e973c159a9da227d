<?php

declare(strict_types=1);

namespace FeastLadle\Diet;

use FeastLadle\Feast\Dish;
use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\IngredientRule;
use FeastLadle\Kitchen\Instead;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Ingredient;
use FeastLadle\Larder\Larder;
use FeastLadle\Larder\Substitute;
use FeastLadle\Larder\Without;
use FeastLadle\Portion\Group;

/**
 * Who may eat what: for each dish and group the culprits, through bases and bought things; and the order of cooking in which the
 * least is carried over. What a label says comes before what is written here.
 */
final readonly class DietGrid
{
    public function __construct(private Larder $larder, private Kitchen $kitchen)
    {
    }

    /** @return array<string, array<string, list<Culprit>>> by dish and group; an empty list: they may */
    public function of(Feast $feast): array
    {
        $grid = [];
        foreach ($feast->dishes as $dish) {
            $sources = (new Sources($this->larder))->of($dish->recipe);
            foreach ($feast->groups as $group) {
                $grid[$dish->id][$group->id] = $this->culprits($sources, [...$group->avoids, ...$feast->rules]);
            }
        }

        return $grid;
    }

    /**
     * @param array<string, array<string, list<Culprit>>> $grid
     *
     * @return list<Group> groups for whom nothing on the menu is left
     */
    public function withNothing(Feast $feast, array $grid): array
    {
        return array_values(
            array_filter(
                $feast->groups,
                static fn (Group $g): bool => [] !== $feast->dishes
                    && [] === array_filter($feast->dishes, static fn (Dish $d): bool => [] === $grid[$d->id][$g->id]),
            ),
        );
    }

    /**
     * Dishes in the order in which one ladle, board or fat carries the least over: what is free of most comes first.
     *
     * @return list<array{dish: Dish, allergens: list<string>}>
     */
    public function order(Feast $feast): array
    {
        $rows = array_map(
            fn (Dish $d): array => ['dish' => $d, 'allergens' => (new Sources($this->larder))->allergens($d->recipe)],
            $feast->dishes,
        );
        usort(
            $rows,
            static fn (array $a, array $b): int => [\count($a['allergens']), $a['dish']->letter] <=> [
                \count($b['allergens']),
                $b['dish']->letter,
            ],
        );

        return $rows;
    }

    /**
     * @param list<Source> $sources
     * @param list<string> $avoids
     *
     * @return list<Culprit>
     */
    private function culprits(array $sources, array $avoids): array
    {
        $avoids = array_values(array_unique($avoids));
        $culprits = [];
        foreach ($sources as $source) {
            foreach ($avoids as $avoid) {
                if (!$this->hits($avoid, $source->ingredient?->id, $source->allergens)) {
                    continue;
                }
                $instead = $this->instead($avoid, $source->ingredient);
                $by = null !== $instead && $this->mayStandIn($instead->ingredient, $avoids)
                    ? $this->larder->get($instead->ingredient)
                    : null;
                $culprits[] = new Culprit(
                    $source,
                    $this->rule($avoid)->name ?? 'without '.$avoid,
                    $by,
                    null === $by ? '' : $instead->caution ?? '',
                    null === $by ? 1.0 : $instead->ratio ?? 1.0,
                );
                break;
            }
        }

        return $culprits;
    }

    /** Grams for a gram at which one thing may stand in for another in a dish; null where that is not offered. */
    public function ratioOffered(Feast $feast, string $dish, string $for, string $by): ?float
    {
        foreach ($this->of($feast)[$dish] ?? [] as $culprits) {
            foreach ($culprits as $culprit) {
                if ($culprit->source->ingredient?->id === $for && $culprit->substitute?->id === $by) {
                    return $culprit->ratio;
                }
            }
        }

        return null;
    }

    /** @param list<string> $allergens */
    private function hits(string $avoid, ?string $ingredient, array $allergens): bool
    {
        $rule = $this->rule($avoid);

        return null !== $rule
            ? \in_array($ingredient, $rule->forbids, true)
            : [] !== array_intersect(Without::tryFrom($avoid)?->allergens() ?? [$avoid], $allergens);
    }

    private function instead(string $avoid, ?Ingredient $ingredient): Instead|Substitute|null
    {
        $rule = $this->rule($avoid);
        $without = Without::tryFrom($avoid);

        return match (true) {
            null === $ingredient => null,
            null !== $rule => $rule->instead[$ingredient->id] ?? null,
            null !== $without => $ingredient->substitute($without),
            default => null,
        };
    }

    /**
     * What stands in for one thing must not be what another rule forbids.
     *
     * @param list<string> $avoids
     */
    private function mayStandIn(string $id, array $avoids): bool
    {
        return $this->larder->knows($id) && [] === array_filter(
            $avoids,
            fn (string $avoid): bool => $this->hits($avoid, $id, $this->larder->get($id)->caveats->allergens),
        );
    }

    private function rule(string $avoid): ?IngredientRule
    {
        return $this->kitchen->rules->ingredients[$avoid] ?? null;
    }
}
