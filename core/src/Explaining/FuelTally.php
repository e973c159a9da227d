<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Heat\FuelUse;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Solving\Plan;
use FeastLadle\Stores\Fuel;

/** What each fire of a kitchen burns in a plan. */
final class FuelTally
{
    /** @return list<Fuel> fires that are used, in the kitchen's order */
    public static function of(Plan $plan, Kitchen $kitchen): array
    {
        $minutes = [];
        $amounts = [];
        foreach (Burning::of($plan, $kitchen) as $burning) {
            $id = $burning->burner->id;
            $minutes[$id] = ($minutes[$id] ?? 0.0) + $burning->minutes();
            $amounts[$id] = ($amounts[$id] ?? 0.0) + $burning->amount();
        }
        $fuel = [];
        foreach ($kitchen->burners as $id => $burner) {
            if (isset($minutes[$id])) {
                $fuel[] = new Fuel($burner->name, $burner->fuel->value, $minutes[$id], $amounts[$id], FuelUse::unit($burner->fuel));
            }
        }

        return $fuel;
    }
}
