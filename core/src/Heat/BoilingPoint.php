<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

use FeastLadle\Words\CannotBe;

/** Where water boils at an altitude: standard atmosphere, then Antoine's equation with the constants for water. */
final class BoilingPoint
{
    public const LOWEST_M = -450.0;
    public const HIGHEST_M = 6000.0;

    /** @throws \DomainException outside −450 to 6000 m */
    public static function ofWaterCelsius(float $altitudeM): float
    {
        if ($altitudeM < self::LOWEST_M || $altitudeM > self::HIGHEST_M) {
            throw new CannotBe(\sprintf('An altitude of %g m is outside %g to %g m.', $altitudeM, self::LOWEST_M, self::HIGHEST_M));
        }
        $pascal = 101325 * (1 - 2.25577e-5 * $altitudeM) ** 5.25588;

        return 1730.63 / (8.07131 - log10($pascal / 133.322)) - 233.426;
    }

    /** Vapour pressure of water in kPa, by the same constants. */
    public static function vapourPressureKpa(float $celsius): float
    {
        return 10 ** (8.07131 - 1730.63 / (233.426 + $celsius)) * 0.133322;
    }
}
