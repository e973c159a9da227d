<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Amounts\BatchFlow;
use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Feast\Feast;
use FeastLadle\Heat\Evaporation;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Modelling\StepKey;
use FeastLadle\Recipe\ServingWay;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;

/** Stop signs for the dishes of a plan that thicken while they wait. */
final readonly class StopSigns
{
    private const WAITING_CELSIUS = 65.0;

    public function __construct(private Larder $larder)
    {
    }

    /** @return list<StopSign> one for each sweet that thickens, for the longest wait of its rounds, in the vessel it stands in then */
    public function of(Plan $plan, Feast $feast, Kitchen $kitchen): array
    {
        $signs = [];
        foreach (array_keys($plan->timings) as $id) {
            $sign = $this->ofDish($id, $plan, $feast, $kitchen);
            if (null !== $sign) {
                $signs[] = $sign;
            }
        }

        return $signs;
    }

    private function ofDish(string $id, Plan $plan, Feast $feast, Kitchen $kitchen): ?StopSign
    {
        $planned = $plan->quantities->dishes[$id];
        $recipe = $planned->dish->recipe;
        $thickens = null;
        foreach ($recipe->steps as $step) {
            $thickens = true === $step->gives->keeping?->thickens ? $step : $thickens;
        }
        if (null === $thickens || ServingWay::Cold === $recipe->serving) {
            return null;
        }
        $at = [];
        foreach ($plan->steps as $step) {
            $at[$step->activity] = $step;
        }
        $rounds = BatchFlow::of($feast, $planned);
        $wait = 0.0;
        $of = null;
        foreach ($rounds->rounds($thickens) as $round) {
            $step = $at[(new StepKey($id, $round, $thickens->id))->id()] ?? null;
            if (null !== $step) {
                $minutes = max(0.0, ($rounds->wave($round)->until->getTimestamp() - $step->end->getTimestamp()) / 60);
                [$wait, $of] = null === $of || $minutes > $wait ? [$minutes, $step] : [$wait, $of];
            }
        }

        return null === $of ? null : $this->sign($planned, $of, $wait, $kitchen);
    }

    private function sign(PlannedDish $planned, PlannedStep $at, float $wait, Kitchen $kitchen): StopSign
    {
        $flow = $planned->batchPlan->ledger->flow($at->step->id);
        $drinks = $flow->gives->drinksGrams($wait, $this->larder);
        $shape = ($kitchen->vessels[$at->vessels[0] ?? ''] ?? null)?->shape;
        $ml = $flow->gives->volumeMl($this->larder);
        $depth = $shape?->depthMm($ml) ?? 0.0;
        $loses =
            null === $shape
                ? 0.0
                : Evaporation::gramsUnderLid(self::WAITING_CELSIUS, $shape->surfaceM2($depth), $wait, $kitchen->climate);
        $higher = null === $shape ? 0.0 : $shape->depthMm(min($shape->brimfulMl(), $ml + $drinks + $loses)) - $depth;

        return new StopSign($planned, $at, $wait, $drinks, $loses, $higher, $flow->gives->massGrams());
    }
}
