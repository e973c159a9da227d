<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

/** The most heat that food stands at the heated base before it catches, in kW/m² (kitchen estimates). */
enum HeatCap: string
{
    case Milk = 'milk';
    case ThickMilk = 'thick-milk';
    case ThinPudding = 'thin-pudding';
    case ThickPudding = 'thick-pudding';
    case Roast = 'roast';
    case Syrup = 'syrup';
    case Water = 'water';

    public function kwPerM2(): float
    {
        return match ($this) {
            self::Milk => 14.0,
            self::ThickMilk => 10.0,
            self::ThinPudding => 10.0,
            self::ThickPudding => 6.0,
            self::Roast => 12.0,
            self::Syrup => 30.0,
            self::Water => \INF,
        };
    }

    public function limit(float $netKw, float $heatedBaseM2): float
    {
        return min($netKw, $this->kwPerM2() * $heatedBaseM2);
    }
}
