<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

/** What a pot loses below the boil, waiting on a low flame or beside it: 0.089 e Δp/(2501 − 2.4T) kg/s·m², p in kPa. */
final class Evaporation
{
    public static function kgPerHour(float $celsius, float $surfaceM2, float $openness, Climate $climate): float
    {
        $difference = max(
            0.0,
            BoilingPoint::vapourPressureKpa($celsius) - $climate->humidity * BoilingPoint::vapourPressureKpa($climate->roomCelsius),
        );

        return ((3600 * OpenPot::WITH_STEAM_KW * $openness * $difference) / (2501 - 2.4 * $celsius)) * $surfaceM2;
    }

    public static function gramsUnderLid(float $celsius, float $surfaceM2, float $minutes, Climate $climate): float
    {
        return (1000 / 60) * $minutes * self::kgPerHour($celsius, $surfaceM2, OpenPot::LID_ON, $climate);
    }
}
