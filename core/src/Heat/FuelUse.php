<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

/** What a fire burns. Lower heating values: bottled gas 46 MJ/kg, air-dry wood 15 MJ/kg (handbook values); electricity in kWh. */
final class FuelUse
{
    private const MJ_PER_KG = ['gas' => 46.0, 'wood' => 15.0];

    /** Kilograms of gas or wood, or kWh of electricity, for a fire that burns so many minutes at this share of its power. */
    public static function amount(Fuel $fuel, float $kilowatts, float $flameShare, float $minutes): float
    {
        $megajoules = $kilowatts * $flameShare * $minutes * 60 / 1000;

        return match ($fuel) {
            Fuel::Induction => $megajoules / 3.6,
            Fuel::Gas, Fuel::Wood => $megajoules / self::MJ_PER_KG[$fuel->value],
        };
    }

    public static function unit(Fuel $fuel): string
    {
        return Fuel::Induction === $fuel ? 'kWh' : 'kg';
    }
}
