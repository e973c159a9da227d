<?php

declare(strict_types=1);

namespace App\View;

use App\Service\MenuBook;
use App\Service\OpenFeast;
use App\Service\RecipeBook;
use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Amounts\Quantities;
use FeastLadle\Amounts\QuantityPlanner;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Explaining\FirstFit;
use FeastLadle\Feast\FeastDocument;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Larder\Larder;
use FeastLadle\Stores\StoreLine;

/**
 * The sweets of the book as a menu is chosen from them: how a portion lies on the plate, whether it is their season, how much work, and
 * whether they still fit beside what is on the menu.
 *
 * @phpstan-type Picture array{pieces: list<float>, r: float, square: bool}
 * @phpstan-type Card array{slug: string, name: string, summary: string, served: string, isOn: bool, picture: Picture,
 *     outOfSeason: list<string>, handMinutes: float, fits: string}
 */
final readonly class MenuShelf
{
    /** A spooned sweet lies about so high. */
    private const HEAP_MM = 22.0;

    private const MOST_PIECES = 4;

    public function __construct(private MenuBook $book, private RecipeBook $recipes, private Larder $larder)
    {
    }

    /** @return list<Card> */
    public function of(OpenFeast $open, Quantities $menu): array
    {
        $needed = FirstFit::of($open->feast, $open->kitchen, $menu, $this->larder);
        $there = array_map(static fn ($d): string => $d->recipe->slug, $open->feast->dishes);
        $cards = [];
        foreach ($this->book->sweets() as $slug) {
            $planned = $this->alone($open, $slug);
            if (null === $planned) {
                continue;
            }
            [$quantities, $dish] = $planned;
            $fits = FirstFit::of($open->feast, $open->kitchen, $quantities, $this->larder);
            $cards[] = [
                'slug' => $slug,
                'name' => $dish->dish->recipe->name,
                'summary' => $dish->dish->recipe->summary,
                'served' => $dish->dish->recipe->serving->value,
                'isOn' => \in_array($slug, $there, true),
                'picture' => $this->picture($dish),
                'outOfSeason' => array_values(array_map(
                    static fn (StoreLine $l): string => $l->ingredient->name,
                    array_filter($quantities->stores, static fn (StoreLine $l): bool => !$l->inSeason),
                )),
                'handMinutes' => $fits[1]->needMinutes,
                'fits' => $dish->canBeCooked() ? FirstFit::together($needed, $fits) : 'has no pot here',
            ];
        }

        return $cards;
    }

    /** @return array{Quantities, PlannedDish}|null */
    private function alone(OpenFeast $open, string $slug): ?array
    {
        $row = ['id' => 'it'] + $this->book->row($slug);
        $document = FeastDocument::of($open->document)->withDishes([$row]);
        try {
            $feast = (new FeastReader($open->kitchen, $this->recipes))->read($document->json());
        } catch (FaultyDocument) {
            return null;
        }
        $quantities = (new QuantityPlanner($this->larder))->plan($feast, $open->kitchen);

        return isset($quantities->dishes['it']) ? [$quantities, $quantities->dishes['it']] : null;
    }

    /** @return Picture a portion from above, in mm on a plate of 120 mm */
    private function picture(PlannedDish $dish): array
    {
        $gives = $dish->batchPlan->ledger->flow($dish->dish->recipe->lastStep)->gives;
        $ml = $gives->massGrams() > 0 ? ($gives->volumeMl($this->larder) / $gives->massGrams()) * $dish->portionGrams : 0.0;
        $portion = $dish->demand->portion;
        $pieces = $portion->countsPieces ? (int) max(1, min(self::MOST_PIECES, round($portion->amount))) : 1;
        $each = $portion->countsPieces ? $ml / max(0.01, $portion->amount) : $ml;
        $square = [] !== array_filter($dish->dish->recipe->steps, static fn ($s): bool => 'cut' === $s->process->value);
        // A piece is about as high as wide; a heap lies low.
        $r = $portion->countsPieces ? ((6000 * $each) / \M_PI) ** (1 / 3) / 2 : sqrt(($each * 1000) / self::HEAP_MM / \M_PI);

        return [
            'pieces' => array_map(static fn (int $k): float => round(($k - ($pieces - 1) / 2) * 2.1 * $r, 1), range(0, $pieces - 1)),
            'r' => round($r, 1),
            'square' => $square,
        ];
    }
}
