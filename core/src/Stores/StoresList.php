<?php

declare(strict_types=1);

namespace FeastLadle\Stores;

use FeastLadle\Larder\Larder;

/** Everything needed, consolidated over all dishes, from the bowls as they are measured. */
final class StoresList
{
    /**
     * @param array<string, array<string, float>> $measured dish id → ingredient id → grams over all its bowls
     *
     * @return list<StoreLine> the heaviest first
     */
    public static function from(array $measured, Larder $larder): array
    {
        $byIngredient = [];
        foreach ($measured as $dish => $grams) {
            foreach ($grams as $ingredient => $amount) {
                $byIngredient[$ingredient][$dish] = ($byIngredient[$ingredient][$dish] ?? 0.0) + $amount;
            }
        }
        $lines = [];
        foreach ($byIngredient as $id => $byDish) {
            $ingredient = $larder->get($id);
            $need = array_sum($byDish);
            $lines[] = new StoreLine($ingredient, $need, $byDish, (int) ceil($need / $ingredient->pack->grams - 1e-9));
        }
        usort($lines, static fn (StoreLine $a, StoreLine $b): int => [$b->needGrams, $a->ingredient->id] <=> [$a->needGrams, $b->ingredient->id]);

        return $lines;
    }
}
