<?php

declare(strict_types=1);

namespace FeastLadle\Syrup;

use FeastLadle\Words\CannotBe;

/**
 * How far above water a sugar solution boils. A composite of confectionery tables, which differ among themselves
 * by 2 °C up to 80 % sugar and by 4 to 9 °C above; linear between the points.
 */
final class SugarRise
{
    /** @var list<array{float, float}> sugar share in % by mass, rise in K at sea level */
    private const POINTS = [
        [0.0, 0.0], [20.0, 0.5], [40.0, 1.4], [50.0, 2.0], [60.0, 3.2], [65.0, 4.4], [70.0, 6.0], [75.0, 8.6], [80.0, 12.0],
        [85.0, 16.0], [87.0, 19.0], [90.0, 23.5], [92.0, 27.0], [95.0, 37.0], [97.0, 44.0], [99.0, 52.0], [100.0, 60.0],
    ];

    public static function kelvin(float $sugarPercent): float
    {
        return self::between($sugarPercent, 0, 1);
    }

    public static function sugarPercent(float $riseKelvin): float
    {
        return self::between($riseKelvin, 1, 0);
    }

    /** Water that stays with this much sugar at this rise: S(100 − B)/B. */
    public static function waterLeftGrams(float $sugarGrams, float $riseKelvin): float
    {
        $percent = self::sugarPercent($riseKelvin);

        return $sugarGrams * (100 - $percent) / $percent;
    }

    /** What a rise at sea level becomes where water boils at another temperature. */
    public static function atBoilingPoint(float $riseKelvin, float $boilingCelsius): float
    {
        return $riseKelvin * (($boilingCelsius + 273.15) / 373.15) ** 2;
    }

    private static function between(float $value, int $from, int $to): float
    {
        $points = self::POINTS;
        $last = \count($points) - 1;
        if ($value < $points[0][$from] || $value > $points[$last][$from]) {
            throw new CannotBe(\sprintf('%g is outside %g to %g.', $value, $points[0][$from], $points[$last][$from]));
        }
        for ($i = 1; $i < $last && $points[$i][$from] < $value; ++$i) {
        }
        [$a, $b] = [$points[$i - 1], $points[$i]];

        return $a[$to] + ($b[$to] - $a[$to]) * ($value - $a[$from]) / ($b[$from] - $a[$from]);
    }
}
