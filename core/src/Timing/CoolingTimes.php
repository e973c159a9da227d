<?php

declare(strict_types=1);

namespace FeastLadle\Timing;

use FeastLadle\Batch\PotChoice;
use FeastLadle\Flow\CoolsHere;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Heat\Cooling;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Kitchen\Storeroom;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\CoolingMedium;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\TargetKind;

/** Minutes of cooling: a liquid in its vessel, or a slab in its tray, towards the room or the cold space. */
final readonly class CoolingTimes
{
    public function __construct(private Kitchen $kitchen, private Larder $larder)
    {
    }

    /** @return float|null minutes; null where it never gets so cold */
    public function minutes(StepFlow $flow, PotChoice $pot, ?TimeAccount $account): ?float
    {
        $step = $flow->step;
        $around = Process::Chill === $step->process ? Storeroom::COLD_CELSIUS : $this->kitchen->climate->roomCelsius;
        $target = TargetKind::Celsius === $step->work->target->kind ? $step->work->target->value : $around + 5;
        $tau = $this->tauMinutes($flow, $pot);
        $account?->say('From {from} to {to} °C with {around} °C around it: every {tau} min it comes nearer by the factor e.', [
            'from' => round($flow->taken->celsius),
            'to' => round($target),
            'around' => round($around),
            'tau' => round($tau),
        ]);

        return Cooling::minutes($tau, $flow->taken->celsius, $target, $around);
    }

    /** Minutes in which it comes nearer to what is around it by the factor e: the law by which it also cools where it waits. */
    public function tauMinutes(StepFlow $flow, PotChoice $pot): float
    {
        $medium = $flow->step->work->time->medium;

        return (new CoolsHere($this->larder))->tauMinutes(
            $flow->taken,
            $pot->vessel(),
            \count($pot->vessels),
            $medium->filmWm2K(),
            CoolingMedium::StirredBath === $medium,
        );
    }
}
