<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

/** Heat that an open pot loses to the room: q = e·0.089(p(T) − p_room) + 0.010(T − T_room) kW per m² of surface, ±30 %. */
final readonly class OpenPot
{
    public const UNCOVERED = 1.0;
    public const UNDER_SKIN = 0.5;
    public const LID_AJAR = 0.4;
    public const LID_ON = 0.1;

    /** Heat that goes with the steam, kW a m² and kPa; and to the air, kW a m² and K. */
    public const WITH_STEAM_KW = 0.089;
    public const TO_AIR_KW = 0.010;

    public function __construct(private float $roomCelsius, private float $humidity)
    {
    }

    public function lossKwPerM2(float $celsius, float $openness = self::UNCOVERED): float
    {
        $roomKpa = $this->humidity * BoilingPoint::vapourPressureKpa($this->roomCelsius);

        return $openness * self::WITH_STEAM_KW * (BoilingPoint::vapourPressureKpa($celsius) - $roomKpa) +
            self::TO_AIR_KW * ($celsius - $this->roomCelsius);
    }
}
