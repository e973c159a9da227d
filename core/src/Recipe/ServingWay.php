<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** How a dish comes to the plate; the hotter, the less it may wait. */
enum ServingWay: string
{
    case Hot = 'hot';
    case Warm = 'warm';
    case Room = 'room';
    case Cold = 'cold';

    /** @return array{float, float} least and most °C at which it comes to the plate */
    public function servedCelsius(): array
    {
        return match ($this) {
            self::Hot => [60.0, 95.0],
            self::Warm => [40.0, 70.0],
            self::Room => [15.0, 40.0],
            self::Cold => [1.0, 10.0],
        };
    }
}
