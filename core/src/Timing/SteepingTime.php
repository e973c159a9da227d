<?php

declare(strict_types=1);

namespace FeastLadle\Timing;

use FeastLadle\Flow\Contents;
use FeastLadle\Heat\Climate;
use FeastLadle\Heat\Steeping;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Vessel\Vessel;

/**
 * Off the flame under a lid a small pot cools, a big one stays hot and is done sooner. Softening halves with every 10 K, as
 * in thin air; the steeping ends
 * when as much of it has been done as in the recipe's own amount, in a pot as wide as it is filled high.
 */
final class SteepingTime
{
    /** Beyond these it is no steeping any more. */
    private const LEAST = 0.5;
    private const MOST = 2.0;

    private const SLICES = 12;

    /** @param float $scale the batch as a multiple of the recipe as written */
    public static function factor(
        float $minutesAsWritten,
        Contents $contents,
        Vessel $vessel,
        float $scale,
        Kitchen $kitchen,
        Larder $larder,
    ): float {
        $asWritten = $contents->share(1 / max(1e-6, $scale));
        $width = ((4 * $asWritten->volumeMl($larder)) / 1e6 / \M_PI) ** (1 / 3);
        $own = self::softened(
            $minutesAsWritten,
            $asWritten->heatCapacityKj($larder),
            $contents->celsius,
            (\M_PI * $width ** 2) / 4,
            \M_PI * $width ** 2,
            $kitchen->climate,
        );

        $depth = $vessel->shape->depthMm($contents->volumeMl($larder));
        $capacity = $contents->heatCapacityKj($larder) + $vessel->emptyKg * $vessel->metal->specificHeat();
        $surface = $vessel->shape->surfaceM2($depth);
        $wall = (((2 * \M_PI * $vessel->shape->radiusMm($depth / 2)) / 1000) * $depth) / 1000;
        $most = self::MOST * $minutesAsWritten;
        $least = self::LEAST * $minutesAsWritten;
        if (self::softened($least, $capacity, $contents->celsius, $surface, $wall, $kitchen->climate) >= $own) {
            return self::LEAST;
        }
        for ($i = 0; $i < 20; ++$i) {
            $middle = ($least + $most) / 2;
            if (self::softened($middle, $capacity, $contents->celsius, $surface, $wall, $kitchen->climate) < $own) {
                $least = $middle;
            } else {
                $most = $middle;
            }
        }

        return $most / max(1e-6, $minutesAsWritten);
    }

    /** Minutes at the boil of the sea that would soften as much. */
    private static function softened(float $minutes, float $capacity, float $from, float $surfaceM2, float $wallM2, Climate $climate): float
    {
        $sum = 0.0;
        $celsius = $from;
        $slice = $minutes / self::SLICES;
        for ($i = 0; $i < self::SLICES; ++$i) {
            $sum += $slice * 2 ** (($celsius - 100) / 10);
            $celsius = Steeping::celsiusAfter($slice, $capacity, $celsius, $surfaceM2, $wallM2, $climate);
        }

        return $sum;
    }
}
