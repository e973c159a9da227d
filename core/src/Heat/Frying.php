<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

use FeastLadle\Words\CannotBe;

/** Loads of a deep-fry: how many pieces fit without welding together or chilling the fat, and how long the fat needs to recover. */
final class Frying
{
    /** What a piece is heated to on the whole, however brown its crust. */
    public const INSIDE_CELSIUS = 95.0;

    /** @throws \DomainException when not even one piece fits */
    public static function piecesPerLoad(float $surfaceM2, float $footprintM2, float $fatKg, float $pieceKg): int
    {
        $pieces = (int) min(floor((0.55 * $surfaceM2) / $footprintM2 + 1e-9), floor((0.175 * $fatKg) / $pieceKg + 1e-9));
        if ($pieces < 1) {
            throw new CannotBe(
                \sprintf(
                    'A pan with %.0f cm² of fat and %.2f kg in it fries no piece of %.0f g.',
                    $surfaceM2 * 1e4,
                    $fatKg,
                    $pieceKg * 1000,
                ),
            );
        }

        return $pieces;
    }

    public static function heatKj(int $pieces, float $pieceKg, float $pieceCelsius, float $waterLost): float
    {
        return $pieces * $pieceKg * (2.8 * (self::INSIDE_CELSIUS - $pieceCelsius) + $waterLost * BoilOff::KJ_PER_KG);
    }

    /** Minutes the fat needs after a load to be hot again. */
    public static function recoveryMinutes(float $heatKj, float $netKw, float $fryMinutes): float
    {
        return max(0.0, $heatKj - $netKw * $fryMinutes * 60) / $netKw / 60;
    }
}
