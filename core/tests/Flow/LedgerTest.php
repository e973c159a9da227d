<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Flow;

use FeastLadle\Flow\Contents;
use FeastLadle\Flow\Ledger;
use FeastLadle\Heat\Climate;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

final class LedgerTest extends TestCase
{
    public function testTwoKilosOfSugarInWaterTakeTwoAndAHalfLitresNotTheirBulk(): void
    {
        $larder = Shipped::larder();
        $syrup = Contents::of('sugar', 2000, 20)->plus(Contents::of('water', 1300, 20), $larder);
        self::assertEqualsWithDelta(2540, $syrup->volumeMl($larder), 5);
        self::assertEqualsWithDelta(3300, $syrup->massGrams(), 1e-9);
    }

    public function testToAHalfIsByVolume(): void
    {
        $larder = Shipped::larder();
        $milk = Contents::of('milk', 10_300, 20);
        $half = $milk->withWaterOff($milk->waterToVolumeShare(0.5, $larder));
        self::assertEqualsWithDelta($milk->volumeMl($larder) / 2, $half->volumeMl($larder), 1e-6);
        self::assertEqualsWithDelta(4990, $half->waterOff, 10);
    }

    public function testBasundiIsReducedToHalfItsVolumeAndPotIsFullestAtTheBoil(): void
    {
        $ledger = Ledger::follow(Shipped::recipe('basundi'), Shipped::larder(), 1.0, 1, Climate::usual());
        $larder = Shipped::larder();
        self::assertEqualsWithDelta(
            $ledger->flow('reduce')->taken->volumeMl($larder) / 2,
            $ledger->flow('reduce')->gives->volumeMl($larder),
            1e-6,
        );
        self::assertSame('reduce', $ledger->runs()[0]->fullest->step->id);
        // 3 kg of milk are 2.91 l, at the boil 3.03 l; under the 60 % limit that wants 5.05 l to the brim.
        self::assertEqualsWithDelta(5055, $ledger->runs()[0]->needBrimMl, 15);
    }

    public function testMixingMeetsInTheMiddleByHeatNotByMass(): void
    {
        $larder = Shipped::larder();
        $mixed = Contents::of('water', 1000, 100)->plus(Contents::of('water', 1000, 20), $larder);
        self::assertEqualsWithDelta(60, $mixed->celsius, 1e-9);
        self::assertGreaterThan(60, Contents::of('water', 1000, 100)->plus(Contents::of('sugar', 1000, 20), $larder)->celsius);
    }

    public function testBatchesTogetherTakeWhatTheWholeTakes(): void
    {
        $recipe = Shipped::recipe('milk-solids-balls');
        $whole = Ledger::follow($recipe, Shipped::larder(), 6.0, 1, Climate::usual());
        $three = Ledger::follow($recipe, Shipped::larder(), 6.0, 3, Climate::usual());
        self::assertEqualsWithDelta($whole->flow('dough')->taken->massGrams(), 3 * $three->flow('dough')->taken->massGrams(), 1e-6);
        self::assertEqualsWithDelta($whole->yieldPieces(), $three->yieldPieces(), 1e-6);
    }

    public function testStrongSpiceGrowsSlowerThanTheBody(): void
    {
        $recipe = Shipped::recipe('basundi');
        $once = Ledger::follow($recipe, Shipped::larder(), 1.0, 1, Climate::usual())->flow('sweeten')->bowls;
        $ten = Ledger::follow($recipe, Shipped::larder(), 10.0, 1, Climate::usual())->flow('sweeten')->bowls;
        self::assertEqualsWithDelta(10, $ten[0]->grams / $once[0]->grams, 1e-9);
        self::assertEqualsWithDelta(10 ** 0.85, $ten[2]->grams / $once[2]->grams, 1e-9);
    }

    public function testFriedPiecesLoseWaterAndDrinkFatButStayAsMany(): void
    {
        $ledger = Ledger::follow(Shipped::recipe('milk-solids-balls'), Shipped::larder(), 1.0, 1, Climate::usual());
        $fry = $ledger->flow('fry');
        self::assertSame($ledger->flow('shape')->gives->pieces, $fry->gives->pieces);
        self::assertEqualsWithDelta(0.1 * $fry->taken->massGrams(), $fry->waterOff, 1e-9);
        self::assertEqualsWithDelta(0.08 * $fry->taken->massGrams(), $fry->fatDrunk, 1e-9);
    }
}
