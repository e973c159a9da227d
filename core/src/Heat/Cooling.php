<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

/** Newton's cooling of a lumped body: t = τ ln((T₀ − T_room)/(T₁ − T_room)), τ = ρc(V/A)(1/h + r/(m·k)). */
final class Cooling
{
    /** Film of still air, W/m²K. */
    public const STILL_AIR = 10.0;

    /** @return float|null minutes; null when the target is not above what surrounds it */
    public static function minutes(float $tauMinutes, float $fromCelsius, float $toCelsius, float $roomCelsius): ?float
    {
        if ($fromCelsius <= $toCelsius) {
            return 0.0;
        }
        if ($toCelsius <= $roomCelsius) {
            return null;
        }

        return $tauMinutes * log(($fromCelsius - $roomCelsius) / ($toCelsius - $roomCelsius));
    }

    /**
     * A slab on a rack or a tray.
     *
     * @param float $halfThicknessM the whole thickness when it loses heat on one side only
     * @param float $volumePerAreaM volume by the faces that lose heat
     */
    public static function slabTauMinutes(
        float $densityKgM3,
        float $specificHeatKj,
        float $volumePerAreaM,
        float $halfThicknessM,
        float $conductivity,
        float $filmWm2K = self::STILL_AIR,
    ): float {
        return ($densityKgM3 * $specificHeatKj * 1000 * $volumePerAreaM * (1 / $filmWm2K + $halfThicknessM / (3 * $conductivity))) / 60;
    }

    /** Thin liquid in a pot: it mixes itself, so only the film at its faces counts. */
    public static function liquidTauMinutes(float $massKg, float $specificHeatKj, float $facesM2, float $filmWm2K = self::STILL_AIR): float
    {
        return ($massKg * $specificHeatKj * 1000) / ($filmWm2K * $facesM2) / 60;
    }

    /** The general law: τ = ρc(V/A)(1/h + r/(m·k)); no r-term when the conductivity is null (thin liquid). */
    public static function tauMinutes(
        float $densityKgM3,
        float $specificHeatKj,
        float $volumePerAreaM,
        float $filmWm2K,
        float $radiusM = 0.0,
        float $shapeNumber = 3.0,
        ?float $conductivity = null,
    ): float {
        return ($densityKgM3 *
            $specificHeatKj *
            1000 *
            $volumePerAreaM *
            (1 / $filmWm2K + (null === $conductivity ? 0.0 : $radiusM / ($shapeNumber * $conductivity)))) /
            60;
    }

    /** Ice that takes the heat out: m·c·ΔT/(334 + 4.18 T₁), in kg. */
    public static function iceKg(float $massKg, float $specificHeatKj, float $fromCelsius, float $toCelsius): float
    {
        return ($massKg * $specificHeatKj * max(0.0, $fromCelsius - $toCelsius)) / (334 + SpecificHeat::WATER * $toCelsius);
    }
}
