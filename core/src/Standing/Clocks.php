<?php

declare(strict_types=1);

namespace FeastLadle\Standing;

use FeastLadle\Feast\Feast;
use FeastLadle\Keeping\TwoClocks;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Modelling\Obstacle;
use FeastLadle\Modelling\ObstacleKind;
use FeastLadle\Solving\KeptHot;
use FeastLadle\Solving\Plan;

/** What must not be served as it is planned: neither hot nor cold for too long before the last eat of it. */
final readonly class Clocks
{
    public function __construct(private Larder $larder)
    {
    }

    public function watch(Feast $feast, Plan $plan, Kitchen $kitchen): Plan
    {
        if ([] === $plan->steps) {
            return $plan;
        }
        $broken = $kept = [];
        foreach (Holds::of($feast, $plan, Walk::through($feast, $plan, $kitchen, $this->larder), $kitchen, $this->larder) as $held) {
            if (null !== $held->fire || Place::Warm === $held->place) {
                $kept[$held->last->planned->activity] = new KeptHot(
                    $held->fire,
                    $held->last->planned->end,
                    $plan->origin->modify('+'.(int) round($held->readings[\count($held->readings) - 1]->minute).' minutes'),
                );
            }
            if ($held->isTooLong()) {
                $dish = $held->last->planned->key->dish;
                $broken[$dish] = new Obstacle(
                    $dish,
                    'It would stand between {cold} and {hot} °C for {minutes} …',
                    [
                        'cold' => TwoClocks::COLD_CELSIUS,
                        'hot' => TwoClocks::HOT_CELSIUS,
                        'minutes' => AmountWriter::duration((int) round($held->bandMinutes)),
                        'most' => AmountWriter::duration((int) TwoClocks::STOP_MINUTES),
                    ],
                    ObstacleKind::Clock,
                    $held->last->planned->step->id,
                );
            }
        }

        return $plan->withClocks(array_values($broken), $kept);
    }
}
