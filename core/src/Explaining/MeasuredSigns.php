<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\TargetKind;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Vessel\Dipstick;
use FeastLadle\Words\Sentence;

/** What a hand, an eye or a tongue judges, by thermometer and dipstick for this pot: for whoever has not judged it before. */
final readonly class MeasuredSigns
{
    public function __construct(private Larder $larder, private Kitchen $kitchen)
    {
    }

    /** @return list<Sentence> none where nothing can be measured */
    public function of(PlannedStep $step): array
    {
        $target = $step->step->work->target;
        $boil = $this->kitchen->climate->boilingCelsius();
        if (null !== $target->stage) {
            [$low, $high] = $target->stage->band();

            return [new Sentence('By the thermometer: {low} to {high} °C in the middle of the pot.', [
                'low' => round($boil + $low, 1),
                'high' => round($boil + $high, 1),
            ])];
        }
        if (TargetKind::Celsius === $target->kind) {
            return [new Sentence('By the thermometer: {celsius} °C.', ['celsius' => round(min($boil, $target->value), 1)])];
        }

        return \in_array($target->kind, [TargetKind::VolumeTo, TargetKind::VolumeBy, TargetKind::WaterOff], true)
            ? $this->byLevel($step)
            : [];
    }

    /** @return list<Sentence> */
    private function byLevel(PlannedStep $step): array
    {
        $flow = $step->dish->batchPlan->ledger->flow($step->step->id);
        $vessel = $this->kitchen->vessels[$step->vessels[0] ?? ''] ?? null;
        if (null === $vessel) {
            return [];
        }
        $pots = \count($step->vessels);
        $depth = static fn (float $ml): float => Dipstick::depthMm($vessel->shape, $ml / $pots, $flow->peakCelsius);
        [$from, $to] = [$depth($flow->taken->volumeMl($this->larder)), $depth($flow->gives->volumeMl($this->larder))];

        return $from - $to < Dipstick::READABLE_MM
            ? []
            : [new Sentence('By the stick in this pot: from {from} mm down to {to} mm.', ['from' => round($from), 'to' => round($to)])];
    }
}
