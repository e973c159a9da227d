<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Ingredient;
use FeastLadle\Telling\Quantity;
use FeastLadle\Telling\QuantityReader;
use FeastLadle\Telling\SpokenUnit;
use FeastLadle\Telling\Text;

/** What went in by hand, told in spoons, ladles, this kitchen's cup or a dash; about so many grams of that thing. */
final class SpokenMeasure
{
    /** @return float|null null where it is no measure that is known */
    public static function ml(string $told, Kitchen $kitchen): ?float
    {
        [$quantity, $unit] = (new QuantityReader())->read($told) ?? [new Quantity(1.0, 1.0), trim($told)];
        $text = Text::of($unit);
        [$known, $next] = SpokenUnit::in($text, 0) ?? [null, 0];
        $ml = null === $text->at($next) ? $known?->millilitres($kitchen->measures->cupMl) : null;

        return null === $ml ? null : $quantity->middle() * $ml;
    }

    public static function grams(string $told, Ingredient $thing, Kitchen $kitchen): ?float
    {
        $ml = self::ml($told, $kitchen);

        return null === $ml ? null : $ml * $thing->weights->bulkDensity;
    }
}
