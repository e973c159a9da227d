<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Flow\Contents;
use FeastLadle\Larder\Larder;

/** What a spoon too little or too stiff comes to in this pot: grams for a tenth sweeter, and for a ladle looser. */
final readonly class Adjusting
{
    /** A difference that is tasted; a tenth of what is there. */
    private const SWEETER = 0.1;

    /** A spoonful that stood now runs; a twentieth of all (kitchen estimate). */
    private const LOOSER = 0.05;

    /** From this share of water on it is ladled and can be loosened. */
    private const LADLED = 0.5;

    /** Water, milk and the like: nearly all water, and as heavy as that. */
    private const WATERY = 0.8;
    private const POURS = 0.9;

    /** Mostly sugar. */
    private const SWEETENER = 0.6;

    public function __construct(private Larder $larder)
    {
    }

    /** @return array<string, array{string, float}> ingredient and grams, by "sweeter" and "looser"; none for what is in pieces */
    public function of(Contents $dish): array
    {
        if ($dish->pieces > 0 || $dish->massGrams() <= 0) {
            return [];
        }
        $ways = [];
        $sugar = $dish->sugarGrams($this->larder);
        $with = $this->heaviest($dish, fn (string $id): bool => $this->larder->get($id)->composition->sugar >= self::SWEETENER);
        if (null !== $with && $sugar > 0) {
            $ways['sweeter'] = [$with, (self::SWEETER * $sugar) / $this->larder->get($with)->composition->sugar];
        }
        $liquid = $this->heaviest($dish, $this->isLiquid(...));
        if (null !== $liquid && $dish->waterGrams($this->larder) / $dish->massGrams() >= self::LADLED) {
            $ways['looser'] = [$liquid, self::LOOSER * $dish->massGrams()];
        }

        return $ways;
    }

    private function isLiquid(string $id): bool
    {
        $thing = $this->larder->get($id);

        return $thing->composition->water >= self::WATERY && $thing->weights->bulkDensity >= self::POURS;
    }

    /** @param \Closure(string): bool $is */
    private function heaviest(Contents $dish, \Closure $is): ?string
    {
        $found = null;
        foreach ($dish->grams as $id => $grams) {
            if ($is($id) && (null === $found || $grams > $dish->grams[$found])) {
                $found = $id;
            }
        }

        return $found;
    }
}
