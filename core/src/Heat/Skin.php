<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

/** Skin that forms on milk at the simmer and is pushed to the wall: about 0.4 kg for each m² and hour, ± 50 %, 45 % of it water. */
final class Skin
{
    private const KG_PER_M2_HOUR = 0.4;
    public const WATER = 0.45;

    /** It is known to a half. */
    public const EITHER_WAY = 0.5;

    public static function grams(float $surfaceM2, float $minutes): float
    {
        return 1000 * self::KG_PER_M2_HOUR * $surfaceM2 * $minutes / 60;
    }
}
