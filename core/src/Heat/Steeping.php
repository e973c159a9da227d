<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

/**
 * A pot taken off the flame and covered: it loses by its surface under the lid (the law of the open pot, e 0.1) and by its wall
 * (10 W/m²K). Small pots cool, big ones stay hot and steep shorter.
 */
final class Steeping
{
    private const WALL_KW_M2K = 0.01;

    /** @param float $heatCapacityKjPerK contents and pot together */
    public static function celsiusAfter(
        float $minutes,
        float $heatCapacityKjPerK,
        float $fromCelsius,
        float $surfaceM2,
        float $wallM2,
        Climate $climate,
        float $openness = OpenPot::LID_ON,
    ): float {
        $room = $climate->openPot();
        $celsius = $fromCelsius;
        $slices = (int) max(1, ceil($minutes));
        for ($i = 0; $i < $slices; ++$i) {
            $kilowatts =
                max(0.0, $room->lossKwPerM2($celsius, $openness)) * $surfaceM2 +
                self::WALL_KW_M2K * ($celsius - $climate->roomCelsius) * $wallM2;
            $celsius -= ($kilowatts * 60 * $minutes) / $slices / $heatCapacityKjPerK;
        }

        return $celsius;
    }
}
