<?php

declare(strict_types=1);

namespace FeastLadle\Syrup;

/** How free the water is, of sugar in water: a_w = (1 − x)e^(−6.47x²), x the mole share of sucrose. A hint only; local code decides. */
final class WaterActivity
{
    public const DRY_ENOUGH = 0.85;

    public static function of(float $sugarPercent): float
    {
        $sugar = $sugarPercent / 342.3;
        $x = $sugar / ($sugar + (100 - $sugarPercent) / 18.015);

        return (1 - $x) * exp(-6.47 * $x * $x);
    }
}
