<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Day\Happening\VesselRead;
use FeastLadle\Flow\Contents;
use FeastLadle\Flow\Really;
use FeastLadle\Heat\Flame;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Step;
use FeastLadle\Syrup\Stage;

/** What the scale, the stick, the thermometer or a drop of syrup says of what stands in a vessel; it counts more than what was reckoned. */
final readonly class AsRead
{
    public function __construct(private Larder $larder, private Kitchen $kitchen)
    {
    }

    /**
     * @param Contents $then what was reckoned to stand there when it was read
     * @param Contents $now  the same now
     */
    public function of(VesselRead $read, Contents $then, Contents $now, Step $step): Contents
    {
        $now = null === $read->celsius ? $now : $now->withCelsius($read->celsius);
        $grams = $read->contentsGrams($this->kitchen->vessels[$read->vessel], $then, $this->larder);
        $missing = match (true) {
            null !== $grams => $then->massGrams() - $grams,
            null !== $read->stage => $this->missingAt($read->stage, $then),
            default => null,
        };
        if (null === $missing || $then->massGrams() <= 0) {
            return $now;
        }
        $isSteam = Flame::None !== $step->work->flame && $missing < $now->waterGrams($this->larder);

        return $isSteam ? $now->withWaterOff($missing) : $now->share(max(0.0, 1 - $missing / $then->massGrams()));
    }

    private function missingAt(string $stage, Contents $then): ?float
    {
        $rise = Stage::tryFrom($stage)?->aimRise();

        return null === $rise || $then->syrupSolidsGrams($this->larder) <= 0
            ? null
            : Really::asPlanned()->risenBy($rise)->waterOff($then, $this->larder);
    }
}
