<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Amounts\Quantities;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\BuyingPlace;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Words\Sentence;

/**
 * The stores as a list to shop by, place by place.
 *
 * @phpstan-type Row array{id: string, name: string, need: Sentence, byCup: Sentence|null, reserve: Sentence|null, whole: Sentence|null,
 *     have: float|null, until: string, buy: int, pack: Sentence, loose: bool, short: array{need: Sentence, there: Sentence,
 *     lacks: Sentence, pack: Sentence}, left: Sentence, price: float|null, cost: float|null, getOn: \DateTimeImmutable,
 *     lead: int, inSeason: bool,
 *     dishes: list<array{letter: string, name: string, amount: Sentence}>}
 */
final class StoreRows
{
    /** @return array{places: list<array{name: string, rows: list<Row>}>, cost: float, unpriced: int} */
    public function of(Quantities $quantities, Kitchen $kitchen): array
    {
        $writer = $kitchen->measures->writer();
        $there = [];
        foreach ($kitchen->storeroom->pantry as $onHand) {
            $there[$onHand->what] = $onHand;
        }
        $rows = [];
        $cost = 0.0;
        $unpriced = 0;
        foreach ($quantities->stores as $line) {
            $dishes = [];
            foreach ($line->byDish as $id => $grams) {
                $dish = $quantities->dishes[$id]->dish;
                $dishes[] = [
                    'letter' => $dish->letter,
                    'name' => $dish->recipe->name,
                    'amount' => $writer->main($line->ingredient, $grams),
                ];
            }
            $id = $line->ingredient->id;
            $cost += $line->cost() ?? 0.0;
            $unpriced += null === $line->price && $line->packs > 0 ? 1 : 0;
            $whole = $line->beforePreparingGrams();
            $rows[$line->place()->value][] = [
                'id' => $id,
                'name' => $line->ingredient->name,
                'need' => $writer->main($line->ingredient, $line->needGrams),
                'byCup' => $writer->byCup($line->ingredient, $line->needGrams),
                'reserve' => $line->reserve > 0 ? $writer->main($line->ingredient, $line->reserve) : null,
                'whole' => null === $whole ? null : AmountWriter::weight($whole),
                'have' => isset($there[$id]) ? $there[$id]->grams : null,
                'until' => ($there[$id] ?? null)?->until?->format('Y-m-d') ?? '',
                'buy' => $line->packs,
                'pack' => $line->ingredient->buying->pack->loose
                    ? AmountWriter::weight($line->buyGrams())
                    : new Sentence('{name}', ['name' => $line->ingredient->buying->pack->name]),
                'loose' => $line->ingredient->buying->pack->loose,
                'short' => [
                    'need' => AmountWriter::weight($line->needGrams),
                    'there' => AmountWriter::weight($line->onHandGrams),
                    'lacks' => AmountWriter::weight(max(0.0, $line->needGrams - $line->onHandGrams)),
                    'pack' => AmountWriter::weight($line->ingredient->buying->pack->grams),
                ],
                'left' => AmountWriter::weight($line->leftGrams()),
                'price' => $line->price,
                'cost' => $line->cost(),
                'getOn' => $line->getOn,
                'lead' => $line->ingredient->buying->leadDays,
                'inSeason' => $line->inSeason,
                'dishes' => $dishes,
            ];
        }
        $places = [];
        foreach (BuyingPlace::cases() as $place) {
            if (isset($rows[$place->value])) {
                $places[] = ['name' => $place->label(), 'rows' => $rows[$place->value]];
            }
        }

        return ['places' => $places, 'cost' => round($cost, 2), 'unpriced' => $unpriced];
    }
}
