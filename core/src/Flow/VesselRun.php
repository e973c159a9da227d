<?php

declare(strict_types=1);

namespace FeastLadle\Flow;

use FeastLadle\Heat\Flame;
use FeastLadle\Recipe\Step;
use FeastLadle\Vessel\FillLimit;
use FeastLadle\Vessel\FillLimits;
use FeastLadle\Vessel\VesselKind;

/** A chain of steps in one vessel, with its fullest moment: the step at which it needs the largest vessel. */
final readonly class VesselRun
{
    /**
     * @param non-empty-list<StepFlow> $flows
     * @param float                    $needBrimMl what a vessel must hold to the brim for every step to stay under its limit
     */
    private function __construct(
        public string $id,
        public VesselKind $kind,
        public array $flows,
        public StepFlow $fullest,
        public FillLimit $limit,
        public float $needBrimMl,
        public float $limitShare,
    ) {
    }

    /** @param non-empty-list<StepFlow> $flows */
    public static function of(array $flows, FillLimits $limits = new FillLimits()): self
    {
        $fullest = $flows[0];
        $most = -1.0;
        foreach ($flows as $flow) {
            $brim = $flow->fullestMl / $limits->share($flow->fill());
            if ($brim > $most) {
                $most = $brim;
                $fullest = $flow;
            }
        }
        $kind = $flows[0]->step->vessel->kind ?? VesselKind::Bowl;

        return new self(
            $flows[0]->step->id,
            $kind,
            $flows,
            $fullest,
            $fullest->fill(),
            $most,
            $limits->share($fullest->fill()),
        );
    }

    public function isHeated(): bool
    {
        foreach ($this->flows as $flow) {
            if (Flame::None !== $flow->step->work->flame) {
                return true;
            }
        }

        return false;
    }

    public function isOnce(): bool
    {
        return $this->flows[0]->step->work->once;
    }

    /** Whether more is in it than cooks put into one vessel, whatever it holds. */
    public function isTooMuch(): bool
    {
        foreach ($this->flows as $flow) {
            if (null !== $flow->step->vessel?->mostGrams && $flow->taken->massGrams() > $flow->step->vessel->mostGrams + 1e-6) {
                return true;
            }
        }

        return false;
    }

    /** The step that fries in this vessel, if any. */
    public function frying(): ?Step
    {
        foreach ($this->flows as $flow) {
            if ($flow->step->process->friesInFat()) {
                return $flow->step;
            }
        }

        return null;
    }
}
