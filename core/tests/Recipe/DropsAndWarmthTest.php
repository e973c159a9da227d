<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Recipe;

use FeastLadle\Document\FaultyDocument;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Recipe\RecipeShelf;
use FeastLadle\Schools\Choices;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Tests\Support\Document;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Drops through a holed ladle, and soaks that take less time where it is warm. */
final class DropsAndWarmthTest extends TestCase
{
    private const DROPS = 'saffron-drop-balls';

    public function testADropIsAsWideAndHeavyAsItsHoleMakesIt(): void
    {
        $step = (new RecipeReader(Shipped::larder()))->read(
            json_encode(Shipped::document('recipes/'.self::DROPS), \JSON_THROW_ON_ERROR),
        )->step('drops');
        $pieces = $step->gives->pieces;
        self::assertNotNull($pieces);
        self::assertEqualsWithDelta(8.0, $pieces->widthMm, 1e-9);
        // 1.08 × π × 0.8³ / 6
        self::assertEqualsWithDelta(0.2895, $pieces->grams, 1e-4);
        self::assertSame(200.0, $pieces->tool?->fallMm);
        self::assertEqualsWithDelta(1.5, $step->betweenLoads(), 1e-9);
    }

    public function testASecondDryLadleSavesTheWiping(): void
    {
        $one = $this->minutes([]);
        $two = $this->minutes(['/steps/1/pieces/tools' => 2, '/steps/2/pieces/tools' => 2]);
        self::assertLessThan($one, $two);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function faults(): iterable
    {
        yield 'no hole' => [['/steps/2/pieces' => ['holeMm' => 0]], '/steps/2/pieces/holeMm'];
        yield 'a door' => [['/steps/2/pieces' => ['holeMm' => 900]], '/steps/2/pieces/holeMm'];
        yield 'from the roof' => [['/steps/2/pieces' => ['holeMm' => 5, 'fallMm' => 4000]], '/steps/2/pieces/fallMm'];
        yield 'half a ladle' => [['/steps/2/pieces' => ['holeMm' => 5, 'tools' => 0.5]], '/steps/2/pieces/tools'];
        yield 'grams beside a hole' => [['/steps/2/pieces' => ['holeMm' => 5, 'grams' => 3]], '/steps/2/pieces/grams'];
    }

    /** @param array<string, mixed> $changes */
    #[DataProvider('faults')]
    public function testAFaultStandsAtItsPlace(array $changes, string $pointer): void
    {
        try {
            (new RecipeReader(Shipped::larder()))->read(Document::changed(Shipped::document('recipes/'.self::DROPS), $changes));
            self::fail('It was taken.');
        } catch (FaultyDocument $faulty) {
            self::assertContains($pointer, array_map(static fn ($f): string => $f->pointer, $faulty->faults));
        }
    }

    public function testASoakTakesLongerInTheColdAndNeverSoLongThatItSours(): void
    {
        // [240, 480, 720] min at 25 °C; × 1.8^((25 − T)/10)
        $soak = fn (float $room): PlannedStep => $this->soak($room);
        self::assertSame([201, 402, 604], $this->threeOf($soak(28.0)));
        self::assertSame([240, 480, 720], $this->threeOf($soak(25.0)));
        // 1.8^1 = 1.8, and not over a day
        self::assertSame([432, 864, 1296], $this->threeOf($soak(15.0)));
        // 1.8^−1: 133, 267, 400
        self::assertSame([133, 267, 400], $this->threeOf($soak(35.0)));
    }

    /** @return array{int, int, int} */
    private function threeOf(PlannedStep $step): array
    {
        return [$step->minMinutes, $step->minutes(), $step->maxMinutes];
    }

    private function soak(float $room): PlannedStep
    {
        foreach ($this->planned('barley-milk-with-hill-berries', [], $room) as $step) {
            if ('soak' === $step->step->process->value) {
                return $step;
            }
        }
        self::fail('Nothing soaks.');
    }

    /** @param array<string, mixed> $changes */
    private function minutes(array $changes): int
    {
        foreach ($this->planned(self::DROPS, $changes, 28.0) as $step) {
            if ('drops' === $step->key->step) {
                return $step->minutes();
            }
        }
        self::fail('Nothing is fried.');
    }

    /**
     * @param array<string, mixed> $changes of the recipe
     *
     * @return list<PlannedStep>
     */
    private function planned(string $recipe, array $changes, float $room): array
    {
        $kitchen = $this->kitchen($room);
        $read = (new RecipeReader(Shipped::larder()))->read(Document::changed(Shipped::document('recipes/'.$recipe), $changes));
        $shelf = new class($read) implements RecipeShelf {
            public function __construct(private readonly Recipe $recipe)
            {
            }

            public function find(string $slug, ?int $revision, ?Choices $choices = null): Recipe
            {
                return $this->recipe;
            }
        };
        $document = ['dishes' => [['id' => 'it', 'recipe' => $recipe]]] + Shipped::document('feasts/new-roof');
        $document['hands'] = [['person' => 'asha', 'day' => -2, 'from' => '00:00', 'to' => '23:59'],
            ['person' => 'asha', 'day' => -1, 'from' => '00:00', 'to' => '23:59'],
            ['person' => 'asha', 'day' => 0, 'from' => '00:00', 'to' => '23:59']];
        $feast = (new FeastReader($kitchen, $shelf))->read(json_encode($document, \JSON_THROW_ON_ERROR));

        return (new FeastPlanner(Shipped::larder()))->glance($feast, $kitchen)->steps;
    }

    private function kitchen(float $room): Kitchen
    {
        $document = Document::changed(Shipped::document('kitchens/kumbhar-lane'), ['/roomCelsius' => $room]);

        return (new KitchenReader())->read($document);
    }
}
