<?php

declare(strict_types=1);

namespace FeastLadle\Keeping;

/** Starch goes on drinking while it waits: a × dry grain × (1 − e^(−t/τ)), a 1.0 to 1.8 g/g, τ 45 to 90 minutes by kind. */
final class Thickening
{
    public static function drunkGrams(float $dryGrams, float $minutes, float $share = 1.4, float $tauMinutes = 60.0): float
    {
        return $share * $dryGrams * (1 - exp(-$minutes / $tauMinutes));
    }
}
