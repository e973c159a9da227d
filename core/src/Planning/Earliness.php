<?php

declare(strict_types=1);

namespace FeastLadle\Planning;

use FeastLadle\Feast\Dish;
use FeastLadle\Feast\Feast;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\ServingWay;
use FeastLadle\Schedule\RiskReport;

/** By how much before its moment a dish is planned to be ready: room for what takes longer, within what it keeps. */
final class Earliness
{
    /** Wishes are rounded up to such minutes. */
    private const STEP = 5;

    /** Minutes for one wave: as wished for the feast and the dish, but never so early that the last who eat of it get it spoilt. */
    public static function of(Feast $feast, Dish $dish, Wave $wave): int
    {
        $eaten = intdiv($wave->until->getTimestamp() - $wave->moment->at->getTimestamp(), 60);

        return max(0, min($feast->marginMinutes + $dish->readyEarlier, $dish->recipe->keepMinutes - $eaten));
    }

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

    /** What a dish that is new on a menu begins with: room for what usually takes longer. */
    public static function usual(Recipe $recipe): int
    {
        return min($recipe->keepMinutes, match ($recipe->serving) {
            ServingWay::Hot => 10,
            ServingWay::Warm => 20,
            ServingWay::Room, ServingWay::Cold => 45,
        });
    }
}
