<?php

declare(strict_types=1);

namespace FeastLadle\Vessel;

/** Pieces from a tray by straight cuts through its whole length and width. Lengths in mm. */
final class TrayCut
{
    /** A quotient this close to a whole number is that number. */
    private const NEAR = 1e-9;

    public static function squares(float $lengthMm, float $widthMm, float $sideMm): int
    {
        return self::whole($lengthMm / $sideMm) * self::whole($widthMm / $sideMm);
    }

    /** Crossed diamonds with diagonals a (along the length) and b. */
    public static function crossedDiamonds(float $lengthMm, float $widthMm, float $aMm, float $bMm): int
    {
        return self::whole($lengthMm / $aMm) * self::whole($widthMm / $bMm)
            + self::whole($lengthMm / $aMm - 0.5) * self::whole($widthMm / $bMm - 0.5);
    }

    private static function whole(float $quotient): int
    {
        return max(0, (int) floor($quotient + self::NEAR));
    }
}
