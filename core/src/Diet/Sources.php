<?php

declare(strict_types=1);

namespace FeastLadle\Diet;

use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Recipe;

/** All that gets into a dish: bowls, frying fat, reserve, and through its bases, home-made or bought. */
final readonly class Sources
{
    public function __construct(private Larder $larder)
    {
    }

    /** @return list<Source> each ingredient once by the way it comes */
    public function of(Recipe $recipe, string $through = ''): array
    {
        $sources = [];
        foreach ($recipe->steps as $step) {
            foreach ($step->takes as $take) {
                if (null !== $take->ingredient) {
                    $ingredient = $this->larder->get($take->ingredient);
                    $sources[$through.'/'.$ingredient->id] = new Source(
                        $ingredient,
                        $ingredient->name,
                        $ingredient->caveats->allergens,
                        $through,
                    );
                } elseif (null !== $take->base) {
                    $base = $recipe->bases[$take->base];
                    $bought = $recipe->buys($take->base) ? $base->base : null;
                    if (null === $bought) {
                        foreach ($this->of($base, $base->name) as $source) {
                            $sources[$source->through.'/'.($source->ingredient->id ?? $source->name)] = $source;
                        }
                        continue;
                    }
                    $ingredient = null === $bought->bought ? null : $this->larder->get($bought->bought);
                    $sources['bought/'.$take->base] = new Source(
                        $ingredient,
                        $ingredient->name ?? $base->name,
                        array_values(array_unique([...$ingredient->caveats->allergens ?? [], ...$bought->allergens])),
                        $base->name,
                    );
                }
            }
        }

        return array_values($sources);
    }

    /** @return list<string> by name */
    public function allergens(Recipe $recipe): array
    {
        $allergens = array_values(
            array_unique(array_merge(...array_map(static fn (Source $s): array => $s->allergens, $this->of($recipe)))),
        );
        sort($allergens);

        return $allergens;
    }
}
