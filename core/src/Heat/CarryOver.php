<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

/**
 * A heavy vessel goes on cooking off the fire: it holds (m·c)(T of the vessel − T of the food), which is as much as the fire
 * gives in so many seconds.
 */
final class CarryOver
{
    /**
     * @param float $excessK   by how much the vessel is hotter than what is in it
     * @param float $kilowatts what reaches the vessel
     *
     * @return float seconds on this fire that the vessel still gives
     */
    public static function seconds(float $emptyKg, float $specificHeatKj, float $excessK, float $kilowatts): float
    {
        return $kilowatts > 0 ? $emptyKg * $specificHeatKj * $excessK / $kilowatts : 0.0;
    }
}
