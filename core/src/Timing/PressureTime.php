<?php

declare(strict_types=1);

namespace FeastLadle\Timing;

use FeastLadle\Batch\PotChoice;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Heat\Climate;
use FeastLadle\Heat\Cooling;
use FeastLadle\Heat\ThinAir;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\TargetKind;

/**
 * A closed cooker: it is heated with all that is in it to the boil of its pressure, stays there as long as what is in it needs, which does
 * not grow with the mass, and falls by the law of cooling.
 */
final readonly class PressureTime
{
    /** K above the boil of this place; usual for household cookers. */
    public const ABOVE_BOIL_K = 20.0;

    /** Never opened sooner; usual advice of makers. */
    public const LEAST_FALLING_MINUTES = 10.0;

    /** A counted release on a low flame; kitchen estimate. */
    private const RELEASE_MINUTES = 3.0;

    /** Up to this height a cooker does as at the sea. */
    private const THIN_AIR_FROM_M = 2000.0;

    public function __construct(private Kitchen $kitchen, private Larder $larder)
    {
    }

    /**
     * @param float|null $warming minutes in which this fire heats metal and contents; null where it never does
     */
    public function minutes(StepFlow $flow, PotChoice $pot, ?float $warming, ?TimeAccount $account): ?Minutes
    {
        if (null === $warming) {
            return null;
        }
        $at = $this->atPressure($flow);
        $falling = $this->falling($flow, $pot);
        $account?->say(
            'Closed, all in it is hot at {celsius} °C after {warming} min; …',
            [
                'celsius' => round($this->kitchen->climate->boilingCelsius() + self::ABOVE_BOIL_K),
                'warming' => round($warming),
                'at' => round($at),
                'falling' => round($falling),
            ],
        );

        return Minutes::of(
            StepTimer::LAW_MIN * ($warming + $at) + $falling,
            $warming + $at + $falling,
            StepTimer::LAW_MAX * ($warming + $at) + $falling,
        );
    }

    /** Minutes at pressure, by what takes longest; by the recipe's releases or own minutes where the larder knows nothing of it. */
    public function atPressure(StepFlow $flow): float
    {
        $minutes = null;
        foreach (array_keys($flow->taken->grams) as $id) {
            $water = $this->larder->get($id)->water;
            if (null !== $water->pressureMinutes) {
                $times = \in_array($id, $flow->soaked, true) ? 1.0 : $water->unsoakedTimes;
                $minutes = max($minutes ?? 0.0, $water->pressureMinutes * $times);
            }
        }
        $target = $flow->step->work->target;
        $minutes ??= TargetKind::Releases === $target->kind
            ? self::RELEASE_MINUTES * $target->value
            : $flow->step->work->time->likelyMinutes;

        return $minutes * self::thinAir($this->kitchen->climate);
    }

    /** Minutes in which it loses its pressure off the flame. */
    public function falling(StepFlow $flow, PotChoice $pot): float
    {
        $boil = $this->kitchen->climate->boilingCelsius();
        $vessel = $pot->vessel();
        // Steam fills it, so lid and walls are as hot as the food.
        $height = $vessel->shape->heightMm();
        $faces = $vessel->shape->surfaceM2($height) + (2 * \M_PI * $vessel->shape->radiusMm($height / 2) * $height) / 1e6;
        $capacity = $flow->taken->heatCapacityKj($this->larder) + $vessel->emptyKg * $vessel->metal->specificHeat();
        $tau = Cooling::liquidTauMinutes(1.0, $capacity, max(1e-6, $faces));

        return max(
            self::LEAST_FALLING_MINUTES,
            Cooling::minutes($tau, $boil + self::ABOVE_BOIL_K, $boil, $this->kitchen->climate->roomCelsius) ?? 0.0,
        );
    }

    private static function thinAir(Climate $climate): float
    {
        return $climate->altitudeM > self::THIN_AIR_FROM_M ? ThinAir::factor($climate->boilingCelsius()) : 1.0;
    }
}
