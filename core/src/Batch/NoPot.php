<?php

declare(strict_types=1);

namespace FeastLadle\Batch;

use FeastLadle\Flow\VesselRun;

/** A run that no vessel of the kitchen holds, and what would. */
final readonly class NoPot
{
    public function __construct(public VesselRun $run, public float $neededBrimMl, public float $largestBrimMl)
    {
    }
}
