<?php

declare(strict_types=1);

namespace FeastLadle\Tray;

/**
 * Drops of batter through a holed tool: they are 1.6 times as wide as the hole (kitchen estimate) and lie in one layer; between two rounds
 * they are lifted out, and the tool is wiped and dried where there is no second, dry one.
 */
final class Drops
{
    private const OF_HOLE = 1.6;
    private const LAYER = 0.55;
    public const LIFT_MINUTES = 0.5;
    public const WIPE_MINUTES = 1.0;

    public static function widthMm(float $holeMm): float
    {
        return self::OF_HOLE * $holeMm;
    }

    public static function grams(float $holeMm, float $gramsPerMl): float
    {
        return Ball::grams(self::widthMm($holeMm), $gramsPerMl);
    }

    /** What fries at a time. */
    public static function loadGrams(float $holeMm, float $gramsPerMl, float $surfaceM2): float
    {
        return self::LAYER * $surfaceM2 * self::widthMm($holeMm) * $gramsPerMl * 1000;
    }

    /** Minutes of a round beside the frying itself. */
    public static function betweenMinutes(int $tools): float
    {
        return self::LIFT_MINUTES + ($tools > 1 ? 0.0 : self::WIPE_MINUTES);
    }
}
