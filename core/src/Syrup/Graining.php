<?php

declare(strict_types=1);

namespace FeastLadle\Syrup;

/** How much sugar stays dissolved: above this strength a syrup grains as it cools. Solubility of sucrose, a fit of handbook values. */
final class Graining
{
    public static function mostPercent(float $celsius): float
    {
        return 64.397 + 0.07251 * $celsius + 0.0020569 * $celsius ** 2 - 9.035e-6 * $celsius ** 3;
    }

    public static function grains(float $sugarPercent, float $celsius): bool
    {
        return $sugarPercent > self::mostPercent($celsius);
    }
}
