<?php

declare(strict_types=1);

namespace FeastLadle\Vessel;

use FeastLadle\Heat\Expansion;

/** Levels to mark on a stick that stands in the pot: depths of volumes as they stand at the temperature of reading. */
final class Dipstick
{
    /** A level that falls by less can't be read. */
    public const READABLE_MM = 3.0;

    /**
     * @param float $ml      at 20 °C
     * @param float $skinMl  what has been pushed to the wall and is no longer under the stick
     * @param float $celsius when it is read
     */
    public static function depthMm(Shape $shape, float $ml, float $celsius = 20.0, float $skinMl = 0.0): float
    {
        return $shape->depthMm(Expansion::volumeMl(max(0.0, $ml - $skinMl), $celsius));
    }

    /**
     * Marks at even volumes up to the brim, about twelve of them.
     *
     * @return list<array{litres: float, depthMm: float}>
     */
    public static function marks(Shape $shape, float $celsius = 20.0): array
    {
        $brim = $shape->brimfulMl() / 1000;
        $step = 1.0;
        foreach ([0.1, 0.25, 0.5, 1.0, 2.0, 5.0, 10.0, 20.0, 50.0, 100.0] as $candidate) {
            $step = $candidate;
            if ($brim / $candidate <= 14) {
                break;
            }
        }
        $marks = [];
        for ($i = 1; $i * $step <= $brim * Expansion::densityShare($celsius) + 1e-9; ++$i) {
            $marks[] = ['litres' => $i * $step, 'depthMm' => self::depthMm($shape, $i * $step * 1000, $celsius)];
        }

        return $marks;
    }
}
