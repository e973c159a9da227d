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
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Recipe\CoolingMedium;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Step;
use FeastLadle\Recipe\TargetKind;

/** Minutes of cooling of what stands in a vessel, towards the room, the cold space or ice water. */
final readonly class CoolingTimes
{
    public function __construct(private Kitchen $kitchen, private Larder $larder)
    {
    }

    /** @return float|null minutes; null where it never gets so cold */
    public function minutes(StepFlow $flow, PotChoice $pot, ?TimeAccount $account): ?float
    {
        $step = $flow->step;
        $around = $this->around($step);
        $target = TargetKind::Celsius === $step->work->target->kind ? $step->work->target->value : $around + 5;
        $tau = $this->tauMinutes($flow, $pot);
        $account?->say('From {from} to {to} °C with {around} °C around it: every {tau} min it comes nearer by the factor e.', [
            'from' => round($flow->taken->celsius),
            'to' => round($target),
            'around' => round($around),
            'tau' => round($tau),
        ]);

        if (CoolingMedium::IceBath === $step->work->time->medium) {
            $account?->say('The bath wants {ice} of ice.', [
                'ice' => AmountWriter::weight(1000 * self::iceKg($flow, $target, $this->larder)),
            ]);
        }

        return Cooling::minutes($tau, $flow->taken->celsius, $target, $around);
    }

    /** Ice that takes out the heat between the two. */
    public static function iceKg(StepFlow $flow, float $toCelsius, Larder $larder): float
    {
        $kg = $flow->taken->massGrams() / 1000;

        return Cooling::iceKg($kg, $flow->taken->heatCapacityKj($larder) / max(1e-6, $kg), $flow->taken->celsius, $toCelsius);
    }

    /** °C of what is around it. */
    public function around(Step $step): float
    {
        return match (true) {
            Process::Chill === $step->process => Storeroom::COLD_CELSIUS,
            CoolingMedium::IceBath === $step->work->time->medium => CoolingMedium::ICE_WATER_CELSIUS,
            default => $this->kitchen->climate->roomCelsius,
        };
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
            CoolingMedium::IceBath === $medium,
        );
    }
}
