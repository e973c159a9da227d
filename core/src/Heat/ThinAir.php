<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

/** Grain and pulse at the open boil take t × 2^((100 − T_b)/10) where water boils cooler. Not roasting, frying, syrup. */
final class ThinAir
{
    public static function factor(float $boilingCelsius): float
    {
        return 2 ** ((100 - $boilingCelsius) / 10);
    }
}
