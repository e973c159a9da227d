<?php

declare(strict_types=1);

namespace FeastLadle\Batch;

use FeastLadle\Flow\VesselRun;
use FeastLadle\Vessel\Vessel;

/** Which vessel (or several alike in use) a run goes into, how full it gets, and why this one. */
final readonly class PotChoice
{
    /**
     * @param non-empty-list<Vessel> $vessels   several only for what rests unheated in trays and bowls
     * @param float                  $fullestMl in each vessel at the fullest moment, hot, frying fat counted
     */
    public function __construct(
        public VesselRun $run,
        public array $vessels,
        public float $fullestMl,
        public ?FryingLoad $frying,
        public PotReason $reason,
        public bool $ownWish,
    ) {
    }

    public function vessel(): Vessel
    {
        return $this->vessels[0];
    }

    public function fullShare(): float
    {
        return $this->fullestMl / $this->vessel()->shape->brimfulMl();
    }

    public function limitMl(): float
    {
        return $this->run->limitShare * $this->vessel()->shape->brimfulMl();
    }

    public function isWithinLimit(): bool
    {
        return $this->fullestMl <= $this->limitMl() + 1e-6;
    }
}
