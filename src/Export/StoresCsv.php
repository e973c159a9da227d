<?php

declare(strict_types=1);

namespace App\Export;

use FeastLadle\Amounts\Quantities;

/** The stores as comma-separated values, a line a thing; amounts in grams. */
final class StoresCsv
{
    public function write(Quantities $quantities): string
    {
        $rows = [
            ['place', 'thing', 'need_g', 'reserve_g', 'on_hand_g', 'packs', 'pack', 'buy_g', 'left_g', 'get_on', 'price', 'cost', 'for'],
        ];
        foreach ($quantities->stores as $line) {
            $for = implode(
                ' ',
                array_map(static fn (string $dish): string => $quantities->dishes[$dish]->dish->letter, array_keys($line->byDish)),
            );
            $rows[] = [
                $line->place()->value,
                $line->ingredient->name,
                round($line->needGrams, 2),
                round($line->reserve, 2),
                round($line->onHandGrams, 2),
                $line->packs,
                $line->ingredient->buying->pack->name,
                round($line->buyGrams(), 2),
                round($line->leftGrams(), 2),
                $line->getOn->format('Y-m-d'),
                $line->price,
                $line->cost(),
                $for,
            ];
        }

        return Csv::of($rows);
    }
}
