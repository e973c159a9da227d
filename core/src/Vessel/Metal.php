<?php

declare(strict_types=1);

namespace FeastLadle\Vessel;

/** What a vessel is made of, with its specific heat in kJ/kg·K (handbook values, rounded). */
enum Metal: string
{
    case Steel = 'steel';
    case Aluminium = 'aluminium';
    case Brass = 'brass';
    case Copper = 'copper';
    case Iron = 'iron';
    case Clay = 'clay';

    public function specificHeat(): float
    {
        return match ($this) {
            self::Steel => 0.5,
            self::Aluminium, self::Clay => 0.9,
            self::Brass, self::Copper => 0.38,
            self::Iron => 0.46,
        };
    }
}
