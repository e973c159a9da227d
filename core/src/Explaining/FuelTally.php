<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Heat\FuelUse;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Solving\Plan;

/** What each fire of a kitchen burns in a plan. */
final class FuelTally
{
    /** @return list<FireFuel> fires that are used, in the kitchen's order */
    public static function of(Plan $plan, Kitchen $kitchen): array
    {
        $minutes = [];
        $amounts = [];
        $ends = $empty = [];
        foreach (FuelNeed::of($plan, $kitchen) as $need) {
            $empty[$need->fuel->value] = $need->ends;
        }
        foreach (Burning::of($plan, $kitchen) as $burning) {
            $id = $burning->burner->id;
            $ends[$id] ??= [];
            foreach ($empty[$burning->burner->fuel->value] ?? [] as $end) {
                if ($end->at >= $burning->from && $end->at <= $burning->until) {
                    $ends[$id][$end->number] = $end;
                }
            }
            $minutes[$id] = ($minutes[$id] ?? 0.0) + $burning->minutes();
            $amounts[$id] = ($amounts[$id] ?? 0.0) + $burning->amount();
        }
        $fuel = [];
        foreach ($kitchen->burners as $id => $burner) {
            if (isset($minutes[$id])) {
                $fuel[] = new FireFuel(
                    $burner->name,
                    $burner->fuel->value,
                    $minutes[$id],
                    $amounts[$id],
                    FuelUse::unit($burner->fuel),
                    array_values($ends[$id]),
                );
            }
        }

        return $fuel;
    }
}
