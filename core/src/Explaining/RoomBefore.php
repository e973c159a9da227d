<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Feast\Dish;
use FeastLadle\Feast\Feast;
use FeastLadle\Schedule\RiskReport;
use FeastLadle\Solving\Plan;

/** Room before the moments of a plan: what each dish lacks of it, and which could not have what was wished. */
final class RoomBefore
{
    /** Wishes are rounded up to such minutes. */
    private const STEP = 5;

    /**
     * What each dish would have to be wished earlier to be in time in 95 of 100 tries, by the tries of a plan.
     *
     * @return array<string, int> whole wish by dish id, of those that lack something and keep long enough for more
     */
    public static function wanted(Plan $plan, RiskReport $risk): array
    {
        $wanted = [];
        foreach ($plan->steps as $step) {
            $lacks = $risk->earlier[$step->activity] ?? 0;
            $dish = $step->dish->dish;
            $most = min(Dish::MOST_EARLIER, $dish->recipe->keepMinutes);
            if ($lacks > 0 && !$dish->isBase && $dish->readyEarlier < $most) {
                $minutes = (int) (self::STEP * ceil(($dish->readyEarlier + $lacks) / self::STEP));
                $wanted[$dish->id] = max($wanted[$dish->id] ?? 0, min($minutes, $most));
            }
        }

        return $wanted;
    }

    /**
     * Dishes that are planned less early than they are wished, because they do not keep so long.
     *
     * @return array<string, int> minutes before their moment, by activity that finishes them
     */
    public static function heldBack(Feast $feast, Plan $plan): array
    {
        $held = [];
        foreach ($plan->isToTheMinute ? [] : $plan->steps as $step) {
            $margin = $plan->margins[$step->activity] ?? null;
            if (null !== $margin && $margin < $feast->marginMinutes + $step->dish->dish->readyEarlier) {
                $held[$step->activity] = $margin;
            }
        }

        return $held;
    }
}
