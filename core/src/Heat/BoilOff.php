<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

/** Boiling water away: at the boil, all net power goes into steam, 2257 kJ a kilogram. */
final class BoilOff
{
    public const KJ_PER_KG = 2257.0;

    /** A litre that the level falls, measured at 20 °C, is this much water. */
    public const KG_PER_LITRE_FALLEN = 0.998;

    /** @return float|null minutes; null when no power is left */
    public static function minutes(float $waterKg, float $netKw): ?float
    {
        if ($waterKg <= 0.0) {
            return 0.0;
        }

        return $netKw <= 0.0 ? null : $waterKg * self::KJ_PER_KG / $netKw / 60;
    }
}
