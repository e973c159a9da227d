<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

/** Watery food and syrup stand higher when they are hot: 0.05 % a kelvin over 20 °C (handbook value for water, rounded). */
final class Expansion
{
    private const PER_KELVIN = 0.0005;

    /** What a volume at 20 °C is multiplied by to be as dense as it is at a temperature; its inverse is how much higher it stands. */
    public static function densityShare(float $celsius): float
    {
        return 1 - self::PER_KELVIN * ($celsius - 20);
    }

    /** Millilitres at a temperature of what is so many at 20 °C. */
    public static function volumeMl(float $mlAt20, float $celsius): float
    {
        return $mlAt20 / self::densityShare($celsius);
    }
}
