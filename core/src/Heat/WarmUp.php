<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

/** Time to bring a pot and its contents to a temperature: ∫ C dT/(net − q·A), capped by what the food stands. */
final class WarmUp
{
    /**
     * @param float $heatCapacityKjPerK contents and pot together
     * @param float $netKw              after the cap
     *
     * @return float|null minutes; null when the loss eats the flame before the target, so it never gets there
     */
    public static function minutes(
        float $heatCapacityKjPerK,
        float $fromCelsius,
        float $toCelsius,
        float $netKw,
        float $surfaceM2,
        ?OpenPot $room,
        float $openness = OpenPot::UNCOVERED,
    ): ?float {
        if ($toCelsius <= $fromCelsius) {
            return 0.0;
        }
        // Twenty-four slices keep the midpoint rule within a few seconds of the exact integral, also where the fire hardly does it.
        $slices = 24;
        $step = ($toCelsius - $fromCelsius) / $slices;
        $seconds = 0.0;
        for ($i = 0; $i < $slices; ++$i) {
            $celsius = $fromCelsius + ($i + 0.5) * $step;
            $kilowatts = $netKw - (null === $room ? 0.0 : max(0.0, $room->lossKwPerM2($celsius, $openness)) * $surfaceM2);
            if ($kilowatts <= 0.0) {
                return null;
            }
            $seconds += ($heatCapacityKjPerK * $step) / $kilowatts;
        }

        return $seconds / 60;
    }
}
