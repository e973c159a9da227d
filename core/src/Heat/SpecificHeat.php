<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

/** Specific heats in kJ/kg·K that depend on strength or temperature. */
final class SpecificHeat
{
    public const WATER = 4.18;

    /** Sugar solution: 4.187 − B(0.0251 − 7.5e-5·T), B in % by mass. */
    public static function syrup(float $sugarPercent, float $celsius): float
    {
        return 4.187 - $sugarPercent * (0.0251 - 7.5e-5 * $celsius);
    }

    /** Fat between two temperatures: 1.93 + 0.003·T_mean. */
    public static function fat(float $meanCelsius): float
    {
        return 1.93 + 0.003 * $meanCelsius;
    }
}
