<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Feast\Feast;
use FeastLadle\Heat\Evaporation;
use FeastLadle\Heat\OpenPot;
use FeastLadle\Keeping\Thickening;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\ServingWay;
use FeastLadle\Solving\Plan;

/** Stop signs for the dishes of a plan that thicken while they wait. */
final readonly class StopSigns
{
    /** From this share of starch on a thing is grain or flour, which goes on drinking. */
    private const STARCHY = 0.4;

    private const WAITING_CELSIUS = 65.0;

    /** What goes on drinking in all, g per g dry: grain and flour more than pulse, which has taken most in the soak (kitchen estimates). */
    private const GRAIN = 1.4;
    private const PULSE = 1.0;
    private const PULSE_SOAK = 0.9;

    public function __construct(private Larder $larder)
    {
    }

    /** @return list<StopSign> */
    public function of(Plan $plan, Feast $feast, Kitchen $kitchen): array
    {
        $signs = [];
        foreach ($plan->timings as $id => $timing) {
            $planned = $plan->quantities->dishes[$id];
            $recipe = $planned->dish->recipe;
            $thickens = null;
            foreach ($recipe->steps as $step) {
                $thickens = true === $step->gives->keeping?->thickens ? $step : $thickens;
            }
            $wait = max(0.0, ($feast->lastMoment()->at->getTimestamp() - $timing->ready->getTimestamp()) / 60);
            if (null === $thickens || ServingWay::Cold === $recipe->serving) {
                continue;
            }
            $flow = $planned->batchPlan->ledger->flow($thickens->id);
            $times = $thickens->work->times($planned->batchPlan->batches);
            $drinks = 0.0;
            foreach ($flow->gives->grams as $ingredient => $grams) {
                $thing = $this->larder->get($ingredient);
                $drinks +=
                    $thing->composition->starch >= self::STARCHY
                        ? Thickening::drunkGrams(
                            $grams * $times,
                            $wait,
                            ($thing->water->soak ?? 0.0) >= self::PULSE_SOAK ? self::PULSE : self::GRAIN,
                        )
                        : 0.0;
            }
            $pot = $planned->batchPlan->potOfStep()[$thickens->id] ?? null;
            $depth = $pot?->vessel()->shape->depthMm($flow->gives->volumeMl($this->larder)) ?? 0.0;
            $loses =
                null === $pot
                    ? 0.0
                    : (1000 *
                            $times *
                            Evaporation::kgPerHour(
                                self::WAITING_CELSIUS,
                                $pot->vessel()->shape->surfaceM2($depth),
                                OpenPot::LID_ON,
                                $kitchen->climate,
                            ) *
                            $wait) /
                        60;
            $higher =
                null === $pot
                    ? 0.0
                    : $pot->vessel()->shape->depthMm($flow->gives->volumeMl($this->larder) + ($drinks + $loses) / $times) - $depth;
            $signs[] = new StopSign($planned, $thickens->title, $wait, $drinks, $loses, $higher, $flow->gives->massGrams() * $times);
        }

        return $signs;
    }
}
