<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Vessel\Shape;

/** A vessel in section: x = 0 in its middle, y = 0 at its rim, in drawing units. */
final class SectionDrawing
{
    /** Drawing units for a millimetre. */
    public const SCALE = 0.5;
    private const SLICES = 18;

    /** Path of the inside up to a depth. */
    public static function profile(Shape $shape, float $depthMm): string
    {
        $right = [];
        $left = [];
        for ($i = 0; $i <= self::SLICES; ++$i) {
            // Closer together near the floor, where a round bottom turns fastest.
            $at = $depthMm * ($i / self::SLICES) ** 2;
            $x = self::SCALE * $shape->radiusMm($at);
            $y = self::y($shape, $at);
            $right[] = \sprintf('%.1f,%.1f', $x, $y);
            array_unshift($left, \sprintf('%.1f,%.1f', -$x, $y));
        }

        return 'M'.implode('L', [...$left, ...$right]);
    }

    public static function y(Shape $shape, float $depthMm): float
    {
        return round(self::SCALE * ($shape->heightMm() - $depthMm), 1);
    }

    public static function widest(Shape $shape): float
    {
        return 2 * self::SCALE * max($shape->radiusMm(0), $shape->radiusMm($shape->heightMm()));
    }
}
