<?php

declare(strict_types=1);

namespace FeastLadle\Tray;

/** Balls: m = ρπd³/6. A mass divided, and both ways between weight and width. */
final class Ball
{
    public static function diameterMm(float $grams, float $gramsPerMl): float
    {
        return 10 * (6 * $grams / ($gramsPerMl * \M_PI)) ** (1 / 3);
    }

    public static function grams(float $diameterMm, float $gramsPerMl): float
    {
        return $gramsPerMl * \M_PI * ($diameterMm / 10) ** 3 / 6;
    }

    public static function number(float $massGrams, float $eachGrams): int
    {
        return (int) floor($massGrams / $eachGrams + 1e-9);
    }
}
