<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Flow;

use FeastLadle\Flow\Ledger;
use FeastLadle\Heat\Climate;
use FeastLadle\Larder\Without;
use FeastLadle\Schools\Choices;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** Outputs, drained water, reserve bowls, bases: what is in the vessel afterwards. */
final class FinerFlowTest extends TestCase
{
    public function testAPressGivesSeveralThingsWhichLaterStepsTakeInParts(): void
    {
        $ledger = Ledger::follow(Shipped::recipe('pulse-coconut-pudding'), Shipped::larder(), 1.0, 1, Climate::usual());
        $first = $ledger->flow('press-1')->given('first');
        self::assertSame(['coconut-milk-first'], array_keys($first->grams));
        self::assertEqualsWithDelta(0.34 * 850, $first->massGrams(), 0.01);
        self::assertEqualsWithDelta(0.32 * (0.66 * 850 + 700), $ledger->flow('press-2')->waste, 0.01, 'the spent coconut leaves');
        $garnish = $ledger->flow('garnish')->gives->massGrams();
        $withoutTop = $ledger->flow('dish-up')->taken->massGrams() - 0.35 * $garnish;
        self::assertEqualsWithDelta(
            $ledger->flow('finish')->gives->massGrams(),
            $withoutTop,
            0.01,
            'a third of the garnish is kept for the top',
        );
    }

    public function testASoakedPulseKeepsWhatItDrankAndNoMoreWhenDrained(): void
    {
        $flow = Ledger::follow(Shipped::recipe('filled-flatbread'), Shipped::larder(), 1.0, 1, Climate::usual())->flow('drain');
        // 300 g split chana take 0.95 g of water each: of 700 g, 415 are poured off.
        self::assertEqualsWithDelta(415.0, $flow->waste, 0.5);
        self::assertEqualsWithDelta(585.0, $flow->gives->massGrams(), 0.5);
    }

    public function testHalfOfAReserveCountsAsUsedButTheVesselMustHoldItAll(): void
    {
        $flow = Ledger::follow(Shipped::recipe('jalebi'), Shipped::larder(), 2.0, 1, Climate::usual())->flow('batter');
        $water = array_values(array_filter($flow->bowls, static fn ($b): bool => 'water' === $b->ingredient))[0];
        self::assertEqualsWithDelta(520.0, $water->grams, 1e-6);
        self::assertEqualsWithDelta(100.0, $water->reserve, 1e-6);
        self::assertEqualsWithDelta(570.0, $flow->taken->grams['water'], 1e-6);
        self::assertGreaterThan($flow->taken->volumeMl(Shipped::larder()) + 49, $flow->fullestMl);
    }

    public function testABaseBringsWhatItIsMadeOf(): void
    {
        $flow = Ledger::follow(Shipped::recipe('sesame-balls'), Shipped::larder(), 1.0, 1, Climate::usual())->flow('syrup');
        self::assertSame(['jaggery-syrup' => 430.0], $flow->bases);
        self::assertEqualsWithDelta((430 * 1000) / 1400, $flow->taken->grams['jaggery'], 0.1);
        self::assertEqualsWithDelta(430.0 + 12.0, $flow->taken->massGrams(), 1e-6);
    }

    public function testABoughtBaseIsABowlLikeAnyOther(): void
    {
        $flow = Ledger::follow(
            Shipped::recipe('sesame-balls', new Choices(bought: ['jaggery-syrup'])),
            Shipped::larder(),
            1.0,
            1,
            Climate::usual(),
        )->flow('syrup');
        self::assertSame([], $flow->bases);
        self::assertSame('date-syrup', $flow->bowls[0]->ingredient);
        self::assertEqualsWithDelta(0.9 * 430, $flow->bowls[0]->grams, 1e-6);
    }

    public function testWhatAGuestDoesWithoutHoldsInTheBasesToo(): void
    {
        $flow = Ledger::follow(
            Shipped::recipe('ash-gourd-halwa', new Choices(without: [Without::Dairy])),
            Shipped::larder(),
            1.0,
            1,
            Climate::usual(),
        )->flow('flavour');
        self::assertArrayNotHasKey('ghee', $flow->taken->grams);
        self::assertArrayHasKey('coconut-oil', $flow->taken->grams);
    }

    public function testASyrupIsAsHotAsItsStage(): void
    {
        $flow = Ledger::follow(Shipped::recipe('peanut-brittle'), Shipped::larder(), 1.0, 1, Climate::usual())->flow('crack');
        self::assertEqualsWithDelta(151.5, $flow->gives->celsius, 0.01);
    }

    public function testALoadAtATimeIsAllThatStandsInATool(): void
    {
        $flow = Ledger::follow(Shipped::recipe('filled-flatbread'), Shipped::larder(), 1.0, 1, Climate::usual())->flow('griddle');
        self::assertLessThan(0.1 * $flow->taken->volumeMl(Shipped::larder()), $flow->fullestMl);
    }
}
