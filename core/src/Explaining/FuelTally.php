<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Heat\Flame;
use FeastLadle\Heat\FuelUse;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Solving\Plan;
use FeastLadle\Stores\Fuel;

/** What the fires burn in a plan: each step at its flame, on its fire, as long as it takes, and what is kept hot. */
final class FuelTally
{
    /** @return list<Fuel> fires that are used, in the kitchen's order */
    public static function of(Plan $plan, Kitchen $kitchen): array
    {
        $minutes = [];
        $amounts = [];
        foreach ($plan->steps as $step) {
            if (null === $step->burner) {
                continue;
            }
            $burner = $kitchen->burners[$step->burner];
            $lasts = ($step->end->getTimestamp() - $step->start->getTimestamp()) / 60;
            $minutes[$burner->id] = ($minutes[$burner->id] ?? 0.0) + $lasts;
            $amounts[$burner->id] =
                ($amounts[$burner->id] ?? 0.0) +
                FuelUse::amount($burner->fuel, $burner->kilowatts, $step->flame->share(), $lasts);
        }
        foreach ($plan->kept as $kept) {
            if (null === $kept->burner) {
                continue;
            }
            $burner = $kitchen->burners[$kept->burner];
            $minutes[$burner->id] = ($minutes[$burner->id] ?? 0.0) + $kept->minutes();
            $amounts[$burner->id] = ($amounts[$burner->id] ?? 0.0)
                + FuelUse::amount($burner->fuel, $burner->kilowatts, Flame::Low->share(), $kept->minutes());
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
