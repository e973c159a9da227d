<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

use FeastLadle\Amounts\Wave;
use FeastLadle\Feast\Dish;
use FeastLadle\Feast\Feast;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\ServingWay;

/** By how much before its moment a dish is planned to be ready: room for what takes longer, within what it keeps. */
final class Earliness
{
    /** Minutes for one wave: as wished for the feast and the dish, but never so early that the last who eat of it get it spoilt. */
    public static function of(Feast $feast, Dish $dish, Wave $wave): int
    {
        $eaten = intdiv($wave->until->getTimestamp() - $wave->moment->at->getTimestamp(), 60);

        return max(0, min($feast->marginMinutes + $dish->readyEarlier, $dish->recipe->keepMinutes - $eaten));
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
