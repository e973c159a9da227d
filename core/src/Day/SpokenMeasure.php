<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Ingredient;

/** What went in by hand, told in spoons, ladles, this kitchen's cup or a dash; about so many grams of that thing. */
final class SpokenMeasure
{
    /** ml, level; a ladle and a dash are kitchen estimates. */
    private const ML = [
        'teaspoon' => 5.0,
        'tsp' => 5.0,
        'spoon' => 15.0,
        'tablespoon' => 15.0,
        'tbsp' => 15.0,
        'ladle' => 120.0,
        'dash' => 4.0,
    ];
    private const CUP = 'cup';

    private const NUMBERS = ['a' => 1.0, 'an' => 1.0, 'one' => 1.0, 'two' => 2.0, 'three' => 3.0, 'four' => 4.0, 'half' => 0.5];

    /** @return float|null null where it is no measure that is known */
    public static function ml(string $told, Kitchen $kitchen): ?float
    {
        $number = '\d+(?:[.,]\d+)?|\d+/\d+|an?|one|two|three|four|half';
        if (1 !== preg_match("~^(?:($number)(?:\s+an?)?\s+)?([a-z]+?)s?$~D", strtolower(trim($told)), $m)) {
            return null;
        }
        $ml = self::CUP === $m[2] ? $kitchen->measures->cupMl : self::ML[$m[2]] ?? null;

        return null === $ml ? null : self::count($m[1]) * $ml;
    }

    public static function grams(string $told, Ingredient $thing, Kitchen $kitchen): ?float
    {
        $ml = self::ml($told, $kitchen);

        return null === $ml ? null : $ml * $thing->weights->bulkDensity;
    }

    private static function count(string $told): float
    {
        if ('' === $told) {
            return 1.0;
        }
        if (str_contains($told, '/')) {
            [$over, $under] = array_map(floatval(...), explode('/', $told));

            return $under > 0 ? $over / $under : 0.0;
        }

        return self::NUMBERS[$told] ?? (float) str_replace(',', '.', $told);
    }
}
