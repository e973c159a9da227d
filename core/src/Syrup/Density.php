<?php

declare(strict_types=1);

namespace FeastLadle\Syrup;

use FeastLadle\Heat\Expansion;
use FeastLadle\Words\CannotBe;

/**
 * Density of a sugar solution: 1/ρ = (1 − b)/0.9982 + b(0.613 + 0.027 b) at 20 °C, −0.05 % a kelvin. A weighed ladle gives
 * the strength back.
 */
final class Density
{
    public static function gramsPerMl(float $sugarPercent, float $celsius = 20.0): float
    {
        $b = $sugarPercent / 100;

        return Expansion::densityShare($celsius) / ((1 - $b) / 0.9982 + $b * (0.613 + 0.027 * $b));
    }

    /** @throws \DomainException when no sugar solution is as light or as heavy */
    public static function sugarPercent(float $gramsPerMl, float $celsius = 20.0): float
    {
        $low = 0.0;
        $high = 100.0;
        if ($gramsPerMl < self::gramsPerMl($low, $celsius) || $gramsPerMl > self::gramsPerMl($high, $celsius)) {
            throw new CannotBe(
                \sprintf(
                    'A density of %g g/ml is outside %.3f to %.3f at %g °C.',
                    $gramsPerMl,
                    self::gramsPerMl($low, $celsius),
                    self::gramsPerMl($high, $celsius),
                    $celsius,
                ),
            );
        }
        for ($i = 0; $i < 60; ++$i) {
            $middle = ($low + $high) / 2;
            if (self::gramsPerMl($middle, $celsius) < $gramsPerMl) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return ($low + $high) / 2;
    }
}
