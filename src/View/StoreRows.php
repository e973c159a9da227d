<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Planning\Quantities;

/** The stores as a list to shop by. */
final class StoreRows
{
    /** @return list<array{name: string, need: string, byCup: string, buy: int, pack: string, loose: bool, left: string, dishes: list<array{letter: string, name: string, amount: string}>}> */
    public function of(Quantities $quantities, Kitchen $kitchen): array
    {
        $writer = new AmountWriter($kitchen->cupMl, $kitchen->scaleStepGrams);
        $rows = [];
        foreach ($quantities->stores as $line) {
            $dishes = [];
            foreach ($line->byDish as $id => $grams) {
                $dish = $quantities->dishes[$id]->dish;
                $dishes[] = ['letter' => $dish->letter, 'name' => $dish->recipe->name, 'amount' => $writer->main($line->ingredient, $grams)];
            }
            $rows[] = [
                'name' => $line->ingredient->name,
                'need' => $writer->main($line->ingredient, $line->needGrams),
                'byCup' => $writer->byCup($line->ingredient, $line->needGrams),
                'buy' => $line->packs,
                'pack' => $line->ingredient->pack->loose ? AmountWriter::weight($line->buyGrams()) : $line->ingredient->pack->name,
                'loose' => $line->ingredient->pack->loose,
                'left' => AmountWriter::weight($line->leftGrams()),
                'dishes' => $dishes,
            ];
        }

        return $rows;
    }
}
