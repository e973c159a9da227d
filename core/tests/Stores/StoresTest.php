<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Stores;

use FeastLadle\Amounts\Quantities;
use FeastLadle\Amounts\QuantityPlanner;
use FeastLadle\Explaining\FuelTally;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Larder\BuyingPlace;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Stores\StoreLine;
use FeastLadle\Stores\StoresList;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

final class StoresTest extends TestCase
{
    public function testWhatStandsInThePantryIsNotBought(): void
    {
        $line = $this->line('sugar', 1800, ['pantry' => [['what' => 'sugar', 'grams' => 1500]]]);
        self::assertSame([1500.0, 1], [$line->onHandGrams, $line->packs]);
        self::assertEqualsWithDelta(700, $line->leftGrams(), 1e-6);
    }

    public function testWhatIsNoLongerGoodThatDayIsBought(): void
    {
        self::assertSame(
            0.0,
            $this->line('sugar', 1800, ['pantry' => [['what' => 'sugar', 'grams' => 5000, 'until' => '2031-11-14']]])->onHandGrams,
        );
        self::assertSame(
            5000.0,
            $this->line('sugar', 1800, ['pantry' => [['what' => 'sugar', 'grams' => 5000, 'until' => '2031-11-15']]])->onHandGrams,
        );
    }

    public function testEnoughInTheHouseBuysNothing(): void
    {
        $line = $this->line('sugar', 400, ['pantry' => [['what' => 'sugar', 'grams' => 500]], 'prices' => ['sugar' => 2]]);
        self::assertSame([0, 0.0], [$line->packs, $line->cost()]);
    }

    public function testAPriceIsOfAPackAndUnknownIsNotNothing(): void
    {
        self::assertSame(6.0, $this->line('sugar', 2100, ['prices' => ['sugar' => 2]])->cost());
        self::assertNull($this->line('sugar', 2100)->cost());
    }

    public function testThingsThatMustBeOrderedAreOrderedInTime(): void
    {
        self::assertSame('2031-11-11', $this->line('date-jaggery', 300)->getOn->format('Y-m-d'));
        self::assertSame('2031-11-14', $this->line('milk', 300)->getOn->format('Y-m-d'));
        self::assertFalse($this->line('mango-pulp', 300)->inSeason);
        self::assertTrue($this->line('sugar', 300)->inSeason);
    }

    public function testFruitIsBoughtWithItsPeelAndWaterComesFromTheTap(): void
    {
        self::assertEqualsWithDelta(2000, $this->line('pineapple', 1100)->beforePreparingGrams() ?? 0, 1e-6);
        self::assertNull($this->line('sugar', 1100)->beforePreparingGrams());
        self::assertSame([BuyingPlace::House, 0], [$this->line('water', 9000)->place(), $this->line('water', 9000)->packs]);
    }

    public function testABaseThatStandsReadyIsNeitherMadeNorShoppedFor(): void
    {
        $planner = new QuantityPlanner(Shipped::larder());
        $made = $planner->plan(Shipped::templeFeast(), Shipped::temple());
        $ready = $planner->plan(
            Shipped::templeFeast(),
            $this->kitchen(['pantry' => [['what' => 'jaggery-syrup', 'grams' => 20000]]], 'tamarind-ghat'),
        );
        self::assertArrayHasKey('base-jaggery-syrup', $made->dishes);
        self::assertArrayNotHasKey('base-jaggery-syrup', $ready->dishes);
        $jaggery = static fn (Quantities $q): array => array_values(
            array_filter($q->stores, static fn (StoreLine $l): bool => 'jaggery' === $l->ingredient->id),
        )[0]->byDish;
        self::assertArrayHasKey('base-jaggery-syrup', $jaggery($made));
        self::assertArrayNotHasKey('base-jaggery-syrup', $jaggery($ready));
        $part = $planner->plan(
            Shipped::templeFeast(),
            $this->kitchen(['pantry' => [['what' => 'jaggery-syrup', 'grams' => 2000]]], 'tamarind-ghat'),
        );
        self::assertEqualsWithDelta(
            $made->dishes['base-jaggery-syrup']->demand->total - 2000,
            $part->dishes['base-jaggery-syrup']->demand->total,
            1,
        );
    }

    public function testThePlanGoesOnWithABaseThatStandsReady(): void
    {
        $plan = (new FeastPlanner(Shipped::larder()))->plan(
            Shipped::templeFeast(),
            $this->kitchen(['pantry' => [['what' => 'jaggery-syrup', 'grams' => 20000]]], 'tamarind-ghat'),
        );
        self::assertSame([], $plan->obstacles);
    }

    public function testFiresBurnAsLongAsTheyAreUsed(): void
    {
        $kitchen = Shipped::kitchen();
        $plan = (new FeastPlanner(Shipped::larder()))->plan(Shipped::feast(), $kitchen);
        $fuel = FuelTally::of($plan, $kitchen);
        $minutes = 0;
        foreach ($plan->steps as $step) {
            $minutes += null === $step->burner ? 0 : $step->minutes();
        }
        foreach ($plan->kept as $kept) {
            $minutes += $kept->minutes();
        }
        self::assertEqualsWithDelta($minutes, array_sum(array_map(static fn ($f): float => $f->minutes, $fuel)), 1e-6);
        foreach ($fuel as $fire) {
            // A domestic ring burns at most a quarter of a kilogram of gas an hour.
            self::assertLessThan((0.25 * $fire->minutes) / 60, $fire->amount);
            self::assertGreaterThan(0, $fire->amount);
        }
    }

    /** @param array<string, mixed> $change */
    private function line(string $ingredient, float $grams, array $change = []): StoreLine
    {
        return StoresList::from(
            ['a' => [$ingredient => $grams]],
            Shipped::larder(),
            $this->kitchen($change),
            new \DateTimeImmutable('2031-11-15 18:00'),
        )[0];
    }

    /** @param array<string, mixed> $change */
    private function kitchen(array $change, string $name = 'kumbhar-lane'): Kitchen
    {
        return (new KitchenReader())->read(json_encode([...Shipped::document('kitchens/'.$name), ...$change], \JSON_THROW_ON_ERROR));
    }
}
