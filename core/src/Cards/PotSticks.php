<?php

declare(strict_types=1);

namespace FeastLadle\Cards;

use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Batch\PotChoice;
use FeastLadle\Larder\Larder;
use FeastLadle\Vessel\Dipstick;

/** Dipsticks for the pots in which a level tells that a step is done. */
final readonly class PotSticks
{
    public function __construct(private Larder $larder)
    {
    }

    /** @return list<PotStick> */
    public function of(PlannedDish $planned): array
    {
        $sticks = [];
        foreach ($planned->batchPlan->pots as $choice) {
            $levels = $choice->run->isHeated() && null === $choice->frying ? $this->levels($choice) : [];
            if ([] !== array_filter($levels, static fn (array $l): bool => 'stop' === $l['what'])) {
                $sticks[] = new PotStick(
                    $choice->vessel(),
                    $planned->dish->letter.' · '.$planned->dish->recipe->name,
                    Dipstick::marks($choice->vessel()->shape),
                    $levels,
                );
            }
        }

        return $sticks;
    }

    /** @return list<array{label: string, depthMm: float, what: string, celsius: float, ml: float}> */
    private function levels(PotChoice $choice): array
    {
        $shape = $choice->vessel()->shape;
        $levels = [];
        foreach ($choice->run->flows as $flow) {
            $celsius = min($flow->peakCelsius, 110.0);
            $before = $flow->taken->volumeMl($this->larder);
            $after = $flow->gives->volumeMl($this->larder);
            $begin = Dipstick::depthMm($shape, $before, $celsius);
            $stop = Dipstick::depthMm($shape, $after, $celsius);
            if ($begin - $stop >= Dipstick::READABLE_MM) {
                $levels[] = ['label' => $flow->step->title, 'depthMm' => $begin, 'what' => 'begin', 'celsius' => $celsius, 'ml' => $before];
                $levels[] = ['label' => $flow->step->title, 'depthMm' => $stop, 'what' => 'stop', 'celsius' => $celsius, 'ml' => $after];
            }
        }
        $levels[] = [
            'label' => '',
            'depthMm' => $shape->depthMm($choice->limitMl()),
            'what' => 'limit',
            'celsius' => 20.0,
            'ml' => $choice->limitMl(),
        ];

        return $levels;
    }
}
