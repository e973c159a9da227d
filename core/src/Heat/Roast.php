<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

/**
 * Roasting to 140 °C: the load must be heated and dried, then browned. The browning time comes from the recipe's own
 * reference pan: t = t_brown + E/net, E = m(1.7ΔT + w·2257) + 2.1 m_fat ΔT, t_brown = max(t_ref/4, t_ref − E_ref/net_ref).
 */
final class Roast
{
    /** What is roasted or browned is so hot when it is done. */
    public const TO_CELSIUS = 140.0;

    public static function energyKj(float $dryKg, float $fatKg, float $moistureLost, float $fromCelsius): float
    {
        $rise = self::TO_CELSIUS - $fromCelsius;

        return $dryKg * (1.7 * $rise + $moistureLost * BoilOff::KJ_PER_KG) + 2.1 * $fatKg * $rise;
    }

    public static function browningMinutes(float $referenceMinutes, float $referenceKj, float $referenceKw): float
    {
        return max($referenceMinutes / 4, $referenceMinutes - $referenceKj / $referenceKw / 60);
    }
}
