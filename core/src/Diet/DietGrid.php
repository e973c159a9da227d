<?php

declare(strict_types=1);

namespace FeastLadle\Diet;

use FeastLadle\Feast\Dish;
use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
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
        $culprits = [];
        foreach ($sources as $source) {
            foreach (array_unique($avoids) as $avoid) {
                $without = Without::tryFrom($avoid);
                $rule = $this->kitchen->rules->ingredients[$avoid] ?? null;
                $hit = match (true) {
                    null !== $rule => \in_array($source->ingredient?->id, $rule->forbids, true),
                    null !== $without => [] !== array_intersect($without->allergens(), $source->allergens),
                    default => \in_array($avoid, $source->allergens, true),
                };
                if ($hit) {
                    $substitute = null === $without ? null : $source->ingredient?->substitute($without);
                    $culprits[] = new Culprit(
                        $source,
                        $rule->name ?? 'without '.$avoid,
                        null === $substitute ? null : $this->larder->get($substitute->ingredient),
                        $substitute->caution ?? '',
                    );
                    break;
                }
            }
        }

        return $culprits;
    }
}
