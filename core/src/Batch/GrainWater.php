<?php

declare(strict_types=1);

namespace FeastLadle\Batch;

use FeastLadle\Heat\BoilOff;

/**
 * Water for cooking a grain or pulse: what the grain takes, what boils off on this fire, what the likely wait loses.
 * Only the first grows with the amount, so water is never just multiplied. The share a grain takes is known to ±20 %.
 */
final class GrainWater
{
    public const KNOWN_TO = 0.2;

    /**
     * @param float $takesPerGram in all, g per g of dry grain
     * @param float $soaked       g per g it has taken before, in the soak
     */
    public static function kg(
        float $dryKg,
        float $takesPerGram,
        float $soaked,
        float $boilMinutes,
        float $netKw,
        float $waitLossKg = 0.0,
    ): float {
        return $dryKg * max(0.0, $takesPerGram - $soaked) + ($boilMinutes * 60 * $netKw) / BoilOff::KJ_PER_KG + $waitLossKg;
    }
}
