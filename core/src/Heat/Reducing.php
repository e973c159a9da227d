<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

/**
 * Reducing also where the fire is too weak, or the food stands too little, for an open pot to boil: it settles where the surface loses
 * just what the fire gives, and evaporating is the work. At the boil all goes into steam but what the air takes (kitchen's own law).
 */
final class Reducing
{
    /** Where a mass stands no hotter than this on every fire, it dries at the rim before it is reduced; kitchen estimate. */
    public const LEAST_CELSIUS = 80.0;

    /** So far below the boil a reduction may stand; where the recipe's flame leaves it cooler, the flame is raised. */
    public const NEAR_THE_BOIL_K = 5.0;

    /**
     * @param float $openness of the surface, by OpenPot
     *
     * @return float °C: the boiling point at the most
     */
    public static function settlesAt(float $netKw, float $surfaceM2, float $openness, Climate $climate): float
    {
        $low = $climate->roomCelsius;
        $high = $climate->boilingCelsius();
        $room = $climate->openPot();
        if ($netKw <= 0.0) {
            return $low;
        }
        if ($netKw >= $room->lossKwPerM2($high, $openness) * $surfaceM2) {
            return $high;
        }
        // The loss grows with the temperature; forty halvings are far below a thousandth of a degree.
        for ($i = 0; $i < 40; ++$i) {
            $middle = ($low + $high) / 2;
            if ($room->lossKwPerM2($middle, $openness) * $surfaceM2 < $netKw) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }

    /** Water that leaves in a minute, in kg; at the boil never less than just below it. */
    public static function kgPerMinute(float $netKw, float $surfaceM2, float $openness, Climate $climate): float
    {
        $celsius = self::settlesAt($netKw, $surfaceM2, $openness, $climate);
        $below = Evaporation::kgPerHour($celsius, $surfaceM2, $openness, $climate) / 60;
        if ($celsius < $climate->boilingCelsius()) {
            return $below;
        }
        $air = OpenPot::TO_AIR_KW * ($celsius - $climate->roomCelsius) * $surfaceM2;

        return max($below, (60 * ($netKw - $air)) / BoilOff::KJ_PER_KG);
    }
}
