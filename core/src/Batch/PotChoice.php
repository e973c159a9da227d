<?php

declare(strict_types=1);

namespace FeastLadle\Batch;

use FeastLadle\Flow\StepFlow;
use FeastLadle\Flow\VesselRun;
use FeastLadle\Heat\Burner;
use FeastLadle\Heat\Flame;
use FeastLadle\Heat\HeatCap;
use FeastLadle\Larder\Larder;
use FeastLadle\Vessel\Vessel;

/** Which vessel (or several alike in use) a run goes into, how full it gets, and why this one. */
final readonly class PotChoice
{
    /** Lower than this over a flame it catches, syrup last; kitchen estimates. */
    private const LEAST_MM = 25.0;
    private const LEAST_SYRUP_MM = 20.0;

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

    /** Metal over this fire that the contents touch; frying fat counted. */
    public function heatedBaseM2(StepFlow $flow, Burner $burner, Larder $larder): float
    {
        $shape = $this->vessel()->shape;

        return $shape->heatedBaseM2(
            $shape->depthMm(max($flow->taken->volumeMl($larder), $this->frying->fullestMl ?? 0.0)),
            $burner->ringDiameterMm / 2,
            $burner->fuel->wraps(),
        );
    }

    /** Power in kW that this fire gives the contents, and no more than they stand at the heated base. */
    public function netKw(StepFlow $flow, Burner $burner, Flame $flame, Larder $larder): float
    {
        return $flow->heatCap($larder)->limit($burner->netKw($flame), $this->heatedBaseM2($flow, $burner, $larder));
    }

    /** Open surface of what enters a step. */
    public function surfaceM2(StepFlow $flow, Larder $larder): float
    {
        $shape = $this->vessel()->shape;

        return $shape->surfaceM2($shape->depthMm($flow->taken->volumeMl($larder)));
    }

    /** How deep what is wet stands over a flame at its lowest moment, of what it should at the least; 1: deep enough. */
    public function depthShare(Larder $larder): float
    {
        $share = 1.0;
        foreach ($this->run->flows as $flow) {
            $facts = $flow->step->process->facts();
            if (Flame::None !== $flow->step->work->flame && !$facts->browns && null === $this->frying) {
                $ml = min($flow->taken->volumeMl($larder), $flow->gives->volumeMl($larder));
                $least = HeatCap::Syrup === $facts->cap ? self::LEAST_SYRUP_MM : self::LEAST_MM;
                $share = min($share, $this->vessel()->shape->depthMm($ml) / $least);
            }
        }

        return $share;
    }

    /** How many lie side by side at a time, where they do. */
    public function layer(StepFlow $flow): ?LayerLoad
    {
        return LayerLoad::in($this->vessel(), $flow);
    }

    /** The most of a step that stands in each of its vessels; frying fat counted. */
    public function standsMl(StepFlow $flow): float
    {
        if (null !== $this->frying && $flow->step->process->friesInFat()) {
            return $this->frying->fullestMl;
        }
        $layer = $this->layer($flow);

        return null === $layer ? $flow->fullestMl / \count($this->vessels) : $this->fullestMl;
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
