<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

/** The most heat that food stands at the heated base before it catches, in kW/m² (kitchen estimates). */
enum HeatCap: string
{
    case Milk = 'milk';
    case ThickMilk = 'thick-milk';
    case MilkMass = 'milk-mass';
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
            self::MilkMass => 6.0,
            self::ThinPudding => 10.0,
            self::ThickPudding => 6.0,
            self::Roast => 12.0,
            self::Syrup => 30.0,
            self::Water => \INF,
        };
    }

    /** From this share of solids on a mass is thick: its surface stands cooler than its heart. */
    public const THICK_FROM = 0.25;

    /** Milk catches the sooner the less water is left in it: from a quarter of solids on, and from 38 %. */
    public static function ofMilk(float $solidsShare): self
    {
        return match (true) {
            $solidsShare >= 0.38 => self::MilkMass,
            $solidsShare >= self::THICK_FROM => self::ThickMilk,
            default => self::Milk,
        };
    }

    /** Whether a lid may be put on while it warms: what climbs must be seen. */
    public function maybeCovered(): bool
    {
        return self::Water === $this || self::Syrup === $this;
    }

    public function limit(float $netKw, float $heatedBaseM2): float
    {
        return min($netKw, $this->kwPerM2() * $heatedBaseM2);
    }
}
