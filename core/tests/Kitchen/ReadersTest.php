<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Kitchen;

use FeastLadle\Document\Fault;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Larder\LarderReader;
use FeastLadle\Stores\StoresList;
use FeastLadle\Tests\Support\Document;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ReadersTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, mixed>, list<string>}> document, changes, pointers */
    public static function faulty(): iterable
    {
        yield 'a pot of negative height' => ['kitchens/kumbhar-lane', ['/vessels/0/shape/heightMm' => -220], ['/vessels/0/shape/heightMm']];
        yield 'a shape nobody can draw' => ['kitchens/kumbhar-lane', ['/vessels/0/shape/form' => 'moebius'], ['/vessels/0/shape/form']];
        yield 'one id for a fire and a pot' => ['kitchens/kumbhar-lane', ['/vessels/0/id' => 'wide-ring'], ['/vessels/0/id']];
        yield 'no fire at all' => ['kitchens/kumbhar-lane', ['/burners' => []], ['/burners']];
        yield 'a height above all mountains' => ['kitchens/kumbhar-lane', ['/altitudeM' => 9000], ['/altitudeM']];
        yield 'an unknown fuel' => ['kitchens/kumbhar-lane', ['/burners/0/fuel' => 'steam'], ['/burners/0/fuel']];
        yield 'instead of what is allowed, and of the forbidden itself' => [
            'kitchens/tamarind-ghat',
            [
                '/rules/1/instead/0/for' => 'ghee',
                '/rules/1/instead/1/ingredient' => 'sugar',
                '/rules/0/instead/0/ratio' => 0,
            ],
            ['/rules/0/instead/0/ratio', '/rules/1/instead/0/for', '/rules/1/instead/1/ingredient'],
        ];
        yield 'more than the whole' => ['larder', ['/ingredients/1/fat' => 0.9], ['/ingredients/1']];
        yield 'two of one name' => ['larder', ['/ingredients/1/id' => 'water'], ['/ingredients/1/id']];
        yield 'no pack' => ['larder', ['/ingredients/0/pack' => null], ['/ingredients/0/pack']];
    }

    /**
     * @param array<string, mixed> $changes
     * @param list<string>         $pointers
     */
    #[DataProvider('faulty')]
    public function testAFaultStandsAtItsPointer(string $document, array $changes, array $pointers): void
    {
        $json = Document::changed(Shipped::document($document), $changes);
        try {
            'larder' === $document ? (new LarderReader())->read($json) : (new KitchenReader())->read($json);
            self::fail('The fault was not noticed.');
        } catch (FaultyDocument $faulty) {
            self::assertSame($pointers, array_map(static fn (Fault $f): string => $f->pointer, $faulty->faults));
        }
    }

    public function testBothShippedKitchensRead(): void
    {
        foreach (['kumbhar-lane' => 2, 'plain' => 3] as $name => $fires) {
            self::assertCount($fires, (new KitchenReader())->read(Shipped::json('kitchens/'.$name))->burners);
        }
    }

    public function testARimSmallerThanTheBaseIsAPotLikeAnyOther(): void
    {
        $kitchen = (new KitchenReader())->read(
            Document::changed(Shipped::document('kitchens/kumbhar-lane'), [
                '/vessels/1/shape' => ['form' => 'tapered', 'baseMm' => 200, 'rimMm' => 120, 'heightMm' => 180],
            ]),
        );
        self::assertGreaterThan(3000, $kitchen->vessels['broad-pot']->shape->brimfulMl());
    }

    public function testEveryIngredientOfTheLarderIsPlausible(): void
    {
        foreach (Shipped::larder()->all() as $ingredient) {
            self::assertGreaterThan(0.05, $ingredient->weights->bulkDensity, $ingredient->id);
            // A gram in the pot takes up no more room than it does lying loosely in a cup.
            self::assertLessThanOrEqual(1 / $ingredient->weights->bulkDensity + 0.01, $ingredient->weights->potMl, $ingredient->id);
            self::assertGreaterThanOrEqual(1.5, $ingredient->composition->specificHeat(), $ingredient->id);
        }
    }

    public function testStoresAddUpOverDishesInWholePacksTheHeaviestFirst(): void
    {
        $lines = StoresList::from(
            ['a' => ['sugar' => 1500.0, 'ghee' => 100.0], 'b' => ['sugar' => 500.0]],
            Shipped::larder(),
            Shipped::kitchen(),
            new \DateTimeImmutable('2031-11-15'),
        );
        self::assertSame(['sugar', 'ghee'], array_map(static fn ($l): string => $l->ingredient->id, $lines));
        self::assertSame([2000.0, 2, 0.0], [$lines[0]->needGrams, $lines[0]->packs, $lines[0]->leftGrams()]);
        self::assertSame(['a' => 1500.0, 'b' => 500.0], $lines[0]->byDish);
        self::assertSame([1, 400.0], [$lines[1]->packs, $lines[1]->leftGrams()]);
    }
}
