<?php

declare(strict_types=1);

namespace FeastLadle\Batch;

use FeastLadle\Heat\BoilOff;
use FeastLadle\Heat\OpenPot;
use FeastLadle\Vessel\Vessel;

/**
 * Water under the rack of a steamer: as deep as the vessel wants it, not as the recipe says. Stacked tiers never close as
 * well as a lid: as much
 * steam is lost as under a lid that is ajar. The bottom must never fall dry (depths are kitchen estimates).
 */
final readonly class SteamWater
{
    public const DEPTH_MM = 60.0;
    private const NEVER_BELOW_MM = 15.0;

    private function __construct(public float $litres, public float $lastsMinutes, public float $topUpLitres)
    {
    }

    /** @param float $minutes of steaming in one go, at this net power */
    public static function under(Vessel $vessel, float $minutes, float $netKw): self
    {
        $depth = min(self::DEPTH_MM, 0.25 * $vessel->shape->heightMm());
        $litres = $vessel->shape->volumeMl($depth) / 1000;
        $usable = $litres - $vessel->shape->volumeMl(min(self::NEVER_BELOW_MM, $depth / 4)) / 1000;
        $perMinute = (OpenPot::LID_AJAR * $netKw * 60) / BoilOff::KJ_PER_KG;

        return new self($litres, $perMinute > 0 ? $usable / $perMinute : \INF, max(0.0, $perMinute * $minutes - $usable));
    }
}
