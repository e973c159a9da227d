<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** What takes the heat away, with its film coefficient in W/m²K. */
enum CoolingMedium: string
{
    case Air = 'air';
    case Fan = 'fan';
    /** The pot stands in cold water. */
    case Bath = 'bath';
    /** The pot stands in ice water, and water and food are stirred. */
    case IceBath = 'ice-bath';

    /** Water with ice in it, kept moving; kitchen estimate. */
    public const ICE_WATER_CELSIUS = 3.0;

    public function filmWm2K(): float
    {
        return match ($this) {
            self::Air => 10.0,
            self::Fan => 25.0,
            self::Bath => 100.0,
            self::IceBath => 250.0,
        };
    }
}
