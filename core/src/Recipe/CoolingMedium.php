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
    /** The pot stands in cold water, and water and food are stirred. */
    case StirredBath = 'stirred-bath';

    public function filmWm2K(): float
    {
        return match ($this) {
            self::Air => 10.0,
            self::Fan => 25.0,
            self::Bath => 100.0,
            self::StirredBath => 250.0,
        };
    }
}
