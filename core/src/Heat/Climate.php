<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

use FeastLadle\Words\OutOfRange;

/** The air of a kitchen: how warm, how damp, how thin. Whatever cools, dries or boils depends on it, so nobody may leave it unsaid. */
final readonly class Climate
{
    public const ROOM = [-5.0, 50.0];
    public const HUMIDITY = [0.05, 1.0];

    /** What a kitchen that says nothing is taken for: warm, not dry, at the sea; kitchen estimate. */
    public const USUAL_ROOM = 28.0;
    public const USUAL_HUMIDITY = 0.6;

    /**
     * @param float $roomCelsius °C
     * @param float $humidity    share of what the air can hold
     * @param float $altitudeM   metres above the sea
     */
    public function __construct(public float $roomCelsius, public float $humidity, public float $altitudeM)
    {
        OutOfRange::check('room, °C', $roomCelsius, ...self::ROOM);
        OutOfRange::check('humidity, share', $humidity, ...self::HUMIDITY);
        OutOfRange::check('altitude, m', $altitudeM, BoilingPoint::LOWEST_M, BoilingPoint::HIGHEST_M);
    }

    /** For a recipe that is looked at without a kitchen. */
    public static function usual(): self
    {
        return new self(self::USUAL_ROOM, self::USUAL_HUMIDITY, 0.0);
    }

    public function boilingCelsius(): float
    {
        return BoilingPoint::ofWaterCelsius($this->altitudeM);
    }

    public function openPot(): OpenPot
    {
        return new OpenPot($this->roomCelsius, $this->humidity);
    }
}
