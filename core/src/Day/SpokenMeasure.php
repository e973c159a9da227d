<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Ingredient;
use FeastLadle\Telling\Quantity;
use FeastLadle\Telling\QuantityReader;
use FeastLadle\Telling\SpokenUnit;

/** What went in by hand, told in spoons, ladles, this kitchen's cup or a dash; about so many grams of that thing. */
final class SpokenMeasure
{
    /** ml of what only a cook at the pot says; a ladle and a dash are kitchen estimates. */
    private const AT_THE_POT = ['spoon' => 15.0, 'ladle' => 120.0, 'dash' => 4.0];

    /** @return float|null null where it is no measure that is known */
    public static function ml(string $told, Kitchen $kitchen): ?float
    {
        [$quantity, $unit] = (new QuantityReader())->read($told) ?? [new Quantity(1.0, 1.0), $told];
        [$known, $rest] = SpokenUnit::at(trim($unit)) ?? [null, ''];
        $ml = '' === trim($rest) ? $known?->millilitres($kitchen->measures->cupMl) : null;
        $ml ??= self::AT_THE_POT[rtrim(strtolower(trim($unit)), 's')] ?? null;

        return null === $ml ? null : $quantity->middle() * $ml;
    }

    public static function grams(string $told, Ingredient $thing, Kitchen $kitchen): ?float
    {
        $ml = self::ml($told, $kitchen);

        return null === $ml ? null : $ml * $thing->weights->bulkDensity;
    }
}
