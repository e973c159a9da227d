<?php

declare(strict_types=1);

namespace FeastLadle\Timing;

use FeastLadle\Batch\PotChoice;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Heat\Cooling;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Kitchen\Storeroom;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\TargetKind;

/** Minutes of cooling: a liquid in its vessel, or a slab in its tray, towards the room or the cold space. */
final readonly class CoolingTimes
{
    /** W/m·K of a set sweet. */
    private const SLAB_CONDUCTIVITY = 0.35;

    public function __construct(private Kitchen $kitchen, private Larder $larder)
    {
    }

    public function minutes(StepFlow $flow, PotChoice $pot, ?TimeAccount $account): ?float
    {
        $step = $flow->step;
        $around = Process::Chill === $step->process ? Storeroom::COLD_CELSIUS : $this->kitchen->climate->roomCelsius;
        $target = TargetKind::Celsius === $step->work->target->kind ? $step->work->target->value : $around + 5;
        $count = \count($pot->vessels);
        $shape = $pot->vessel()->shape;
        $ml = $flow->taken->volumeMl($this->larder) / $count;
        $kg = $flow->taken->massGrams() / $count / 1000;
        $specificHeat = $flow->taken->heatCapacityKj($this->larder) / $count / max(0.001, $kg);
        $depthM = $shape->depthMm($ml) / 1000;
        if (Process::Set === $step->process) {
            $tau = $this->slabTau($flow, $pot);
        } else {
            $surface = $shape->surfaceM2($depthM * 1000);
            $walls = ((2 * \M_PI * $shape->radiusMm($depthM * 500)) / 1000) * $depthM;
            $tau = Cooling::liquidTauMinutes($kg, $specificHeat, $surface + $walls, $step->work->time->medium->filmWm2K());
        }

        $account?->say('From {from} to {to} °C with {around} °C around it: every {tau} min it comes nearer by the factor e.', [
            'from' => round($flow->taken->celsius),
            'to' => round($target),
            'around' => round($around),
            'tau' => round($tau),
        ]);

        return Cooling::minutes($tau, $flow->taken->celsius, $target, $around);
    }

    /** Minutes in which a slab in its tray comes nearer to the room by the factor e. */
    public function slabTau(StepFlow $flow, PotChoice $pot): float
    {
        $count = \count($pot->vessels);
        $ml = $flow->taken->volumeMl($this->larder) / $count;
        $kg = $flow->taken->massGrams() / $count / 1000;
        $depthM = $pot->vessel()->shape->depthMm($ml) / 1000;

        return Cooling::slabTauMinutes(
            $kg / max(1e-6, $ml / 1e6),
            $flow->taken->heatCapacityKj($this->larder) / $count / max(0.001, $kg),
            $depthM,
            $depthM,
            self::SLAB_CONDUCTIVITY,
            $flow->step->work->time->medium->filmWm2K(),
        );
    }
}
