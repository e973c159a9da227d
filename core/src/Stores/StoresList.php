<?php

declare(strict_types=1);

namespace FeastLadle\Stores;

use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\BuyingPlace;
use FeastLadle\Larder\Ingredient;
use FeastLadle\Larder\Larder;

/** Everything needed, consolidated over all dishes, from the bowls as they are measured. */
final class StoresList
{
    /**
     * @param array<string, array<string, float>> $measured dish id → ingredient id → grams over all its bowls
     * @param array<string, float>                $reserve  ingredient id → grams of it that only stand by
     *
     * @return list<StoreLine> the heaviest first
     */
    public static function from(array $measured, Larder $larder, Kitchen $kitchen, \DateTimeImmutable $day, array $reserve = []): array
    {
        $byIngredient = [];
        foreach ($measured as $dish => $grams) {
            foreach ($grams as $ingredient => $amount) {
                $byIngredient[$ingredient][$dish] = ($byIngredient[$ingredient][$dish] ?? 0.0) + $amount;
            }
        }
        $there = [];
        foreach ($kitchen->storeroom->pantry as $onHand) {
            if ($onHand->isGoodOn($day)) {
                $there[$onHand->what] = ($there[$onHand->what] ?? 0.0) + $onHand->grams;
            }
        }
        $lines = [];
        foreach ($byIngredient as $id => $byDish) {
            $ingredient = $larder->get($id);
            $need = array_sum($byDish);
            $onHand = BuyingPlace::House === $ingredient->buying->from ? $need : $there[$id] ?? 0.0;
            $packs = max(0, (int) ceil(($need - $onHand) / $ingredient->buying->pack->grams - 1e-9));
            $lines[] = new StoreLine(
                $ingredient,
                $need,
                $byDish,
                $packs,
                $onHand,
                $kitchen->storeroom->prices[$id] ?? null,
                self::getOn($ingredient, $day),
                [] === $ingredient->buying->season || \in_array((int) $day->format('n'), $ingredient->buying->season, true),
                $reserve[$id] ?? 0.0,
            );
        }
        usort(
            $lines,
            static fn (StoreLine $a, StoreLine $b): int => [$b->needGrams, $a->ingredient->id] <=> [$a->needGrams, $b->ingredient->id],
        );

        return $lines;
    }

    /** A thing that has to be asked for is ordered in time; the rest is fetched as its place has it. */
    private static function getOn(Ingredient $ingredient, \DateTimeImmutable $day): \DateTimeImmutable
    {
        return $day
            ->setTime(0, 0)
            ->modify(\sprintf('-%d days', max($ingredient->buying->leadDays, $ingredient->buying->from->usualDays())));
    }
}
