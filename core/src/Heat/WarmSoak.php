<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

use FeastLadle\Words\OutOfRange;

/**
 * How long something soaks or rises by the warmth around it: t = t₂₅ × 1.8^((25 − T)/10) from 5 to 60 °C; soft at 0.7 t at the earliest,
 * sour at 2 t at the latest, and never over 12 h above 25 °C nor over 24 h below.
 */
final readonly class WarmSoak
{
    public const CELSIUS = [5.0, 60.0];
    private const FASTER_IN_10_K = 1.8;
    private const AT = 25.0;
    private const EARLIEST = 0.7;
    private const LATEST = 2.0;
    private const MOST_WARM = 720.0;
    private const MOST_COLD = 1440.0;

    /** In scalding water: of the minutes in cold, so that skins slip off, and for grain. */
    public const SKINS = 0.1;
    public const GRAIN = 0.25;

    private function __construct(public float $earliest, public float $likely, public float $latest)
    {
    }

    /** @param float $minutes at 25 °C */
    public static function of(float $minutes, float $celsius): self
    {
        OutOfRange::check('warmth of a soak, °C', $celsius, ...self::CELSIUS);
        $likely = $minutes * self::factor($celsius);

        return new self(self::EARLIEST * $likely, $likely, max($likely, min(self::LATEST * $likely, self::mostMinutes($celsius))));
    }

    /** How many times as long as at 25 °C; outside of what is known as at its edge. */
    public static function factor(float $celsius): float
    {
        return self::FASTER_IN_10_K ** ((self::AT - max(self::CELSIUS[0], min(self::CELSIUS[1], $celsius))) / 10);
    }

    /** So long at the most, then it sours. */
    public static function mostMinutes(float $celsius): float
    {
        return $celsius > self::AT ? self::MOST_WARM : self::MOST_COLD;
    }
}
