<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Larder;

use FeastLadle\Larder\Found;
use FeastLadle\Larder\Origin;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LarderTest extends TestCase
{
    /** @return iterable<string, array{string, list<string>}> a name as somebody says it → the first that answer */
    public static function names(): iterable
    {
        yield 'its own name' => ['Ghee', ['ghee']];
        yield 'a name of the south' => ['vellam', ['jaggery']];
        yield 'another spelling' => ['suji', ['semolina']];
        yield 'doubled letters' => ['soojii', ['semolina']];
        yield 'one name, two things' => ['maida', ['wheat-flour']];
        yield 'part of a name' => [
            'coconut',
            ['coconut-dry', 'coconut-slivers', 'coconut', 'coconut-milk', 'coconut-oil', 'coconut-water', 'copra'],
        ];
        yield 'milk solids by any name' => ['khoa', ['milk-solids']];
        yield 'hyphens' => ['milk-powder', ['milk-powder']];
        yield 'nothing' => ['moonbeams', []];
        yield 'an empty question' => ['  ', []];
    }

    /** @param list<string> $ids */
    #[DataProvider('names')]
    public function testAnswersToEveryName(string $asked, array $ids): void
    {
        $found = array_map(static fn (Found $f): string => $f->ingredient->id, Shipped::larder()->search($asked));
        foreach ($ids as $id) {
            self::assertContains($id, $found);
        }
        self::assertSame([] === $ids, [] === $found);
        if (1 === \count($ids)) {
            self::assertSame($ids[0], $found[0]);
        }
    }

    public function testAmbiguousNamesGiveBothWithTheDifference(): void
    {
        $found = Shipped::larder()->search('condensed milk');
        self::assertSame('condensed-milk', $found[0]->ingredient->id);
        self::assertContains('evaporated-milk', array_map(static fn (Found $f): string => $f->ingredient->id, $found));
        self::assertStringContainsString('unsweetened', $found[0]->ingredient->unlike[0]->difference);
    }

    public function testHoldsMoreThanAHundredThingsEachWithAPack(): void
    {
        $all = Shipped::larder()->all();
        self::assertGreaterThanOrEqual(110, \count($all));
        foreach ($all as $id => $ingredient) {
            self::assertSame($id, $ingredient->id);
            self::assertGreaterThan(0, $ingredient->buying->pack->grams);
            self::assertNotContains($ingredient->name, $ingredient->names, $id.' repeats its name');
        }
    }

    public function testMilkIsDairyHoneyIsOfAnAnimalAndTheRestIsOfPlants(): void
    {
        foreach (Shipped::larder()->all() as $ingredient) {
            if (\in_array('milk', $ingredient->caveats->allergens, true)) {
                self::assertSame(Origin::Dairy, $ingredient->caveats->diet, $ingredient->id);
            }
            if (Origin::Dairy === $ingredient->caveats->diet) {
                self::assertContains('milk', $ingredient->caveats->allergens, $ingredient->id);
            }
        }
        self::assertSame(Origin::Animal, Shipped::larder()->get('honey')->caveats->diet);
    }

    public function testSmallWordsAreGrams(): void
    {
        self::assertSame(0.05, Shipped::larder()->get('saffron')->weights->small['pinch']);
        // A pinch times sixty is grams.
        self::assertEqualsWithDelta(3.0, 60 * Shipped::larder()->get('saffron')->weights->small['pinch'], 1e-9);
    }

    public function testSoakedGrainTakesLessThanItTakesInAll(): void
    {
        foreach (Shipped::larder()->all() as $ingredient) {
            if (null !== $ingredient->water->soak && null !== $ingredient->water->cooked) {
                self::assertLessThan($ingredient->water->cooked, $ingredient->water->soak, $ingredient->id);
            }
        }
        self::assertSame(196.8, round(Shipped::larder()->get('rice')->weights->cupGrams(240), 1));
    }
}
