<?php

declare(strict_types=1);

namespace FeastLadle\Standing;

use FeastLadle\Vessel\Vessel;

/** How high it stands in a vessel at the fullest moment of a step, hot. */
final readonly class VesselLevel
{
    /**
     * @param float $fill  share of brimful
     * @param float $limit the most that this step allows
     */
    public function __construct(public Vessel $vessel, public float $depthMm, public float $fill, public float $limit)
    {
    }
}
