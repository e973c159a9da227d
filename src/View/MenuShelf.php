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
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Step;
use FeastLadle\Stores\StoreLine;

/**
 * The sweets of the book as a menu is chosen from them: how a portion lies on the plate, whether it is their season, how much work, and
 * whether they still fit beside what is on the menu.
 *
 * @phpstan-type Picture array{pieces: list<array{x: float, left: float}>, r: float, side: float, isCut: bool}
 * @phpstan-type Card array{slug: string, name: string, summary: string, served: string, isOn: bool, picture: Picture,
 *     outOfSeason: list<string>, handMinutes: float, fits: string}
 */
final readonly class MenuShelf
{
    private const MOST_PIECES = 4;

    public function __construct(
        private MenuBook $book,
        private RecipeBook $recipes,
        private Larder $larder,
        private PlateDrawing $plate,
    ) {
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
        $radius = $this->plate->radiusMm($dish);
        $isCut = [] !== array_filter($dish->dish->recipe->steps, static fn (Step $s): bool => Process::Cut === $s->process);

        return [
            'pieces' => array_map(
                static fn (float $x): array => ['x' => round($x, 1), 'left' => round($x - $radius, 1)],
                PlateDrawing::sideBySide(min(self::MOST_PIECES, $this->plate->pieces($dish)), $radius),
            ),
            'r' => round($radius, 1),
            'side' => round(2 * $radius, 1),
            'isCut' => $isCut,
        ];
    }
}
