<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Flow;

use FeastLadle\Flow\Contents;
use FeastLadle\Flow\Ledger;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Heat\Climate;
use FeastLadle\Heat\HeatCap;
use FeastLadle\Larder\Without;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Schools\Choices;
use FeastLadle\Syrup\SugarRise;
use FeastLadle\Tests\Support\Document;
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
        self::assertSame(0.0, $flow->taken->pieces);
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
        self::assertEqualsWithDelta(0.9 * 430, $flow->taken->grams['date-syrup'], 1e-6);
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

    /** Two kilos and 1.2 kg of water to one string: 64.8 %, 1017 g stay, 283 g go off; sugar's own law would take 410. */
    public function testJaggeryGoesByItsOwnLaw(): void
    {
        $larder = Shipped::larder();
        $pot = Contents::of('jaggery', 2000, 28)->plus(Contents::of('water', 1200, 28), $larder);
        self::assertEqualsWithDelta(1870, $pot->syrupSolidsGrams($larder), 0.01);
        self::assertEqualsWithDelta(1.15, $pot->riseFactor($larder), 1e-9);
        $left = SugarRise::waterLeftGrams($pot->syrupSolidsGrams($larder), 5 / $pot->riseFactor($larder));
        self::assertEqualsWithDelta(283, $pot->waterGrams($larder) - $left, 1.5);
        // Half and half rises halfway.
        $both = Contents::of('jaggery', 1000, 28)->plus(Contents::of('sugar', 935, 28), $larder);
        self::assertEqualsWithDelta(1.075, $both->riseFactor($larder), 1e-9);
        self::assertSame(1.0, Contents::of('water', 10, 28)->riseFactor($larder));
    }

    public function testALoadAtATimeIsAllThatStandsInATool(): void
    {
        $flow = Ledger::follow(Shipped::recipe('filled-flatbread'), Shipped::larder(), 1.0, 1, Climate::usual())->flow('griddle');
        self::assertLessThan(0.1 * $flow->taken->volumeMl(Shipped::larder()), $flow->fullestMl);
    }

    /** Three batches of all take what one of the whole takes, of every recipe that takes from another, done once or in each batch. */
    public function testBasesAreTakenOverAllBatches(): void
    {
        $taken = [];
        foreach (glob(\dirname(__DIR__, 3).'/data/recipes/*.json') ?: [] as $file) {
            $recipe = Shipped::recipe(basename($file, '.json'));
            $follow = static fn (float $factor, int $batches): Ledger => Ledger::follow(
                $recipe,
                Shipped::larder(),
                $factor,
                $batches,
                Climate::usual(),
            );
            foreach ($follow(3.0, 3)->bases() as $slug => $grams) {
                self::assertEqualsWithDelta($follow(3.0, 1)->bases()[$slug], $grams, 1e-6, $recipe->slug);
                self::assertEqualsWithDelta(3 * $follow(1.0, 1)->bases()[$slug], $grams, 1e-6, $recipe->slug);
                $taken[] = $recipe->slug;
            }
        }
        self::assertContains('sesame-balls', $taken);
        self::assertGreaterThan(2, \count($taken));
    }

    /** A base done once for three batches is taken for all three at once. */
    public function testABaseTakenOnceIsTakenForAllBatches(): void
    {
        $document = Shipped::document('recipes/sesame-balls');
        $steps = $document['steps'];
        self::assertIsArray($steps);
        $json = Document::changed(
            $document,
            array_fill_keys(array_map(static fn (int $i): string => "/steps/$i/once", array_keys($steps)), true),
        );
        $recipe = (new RecipeReader(Shipped::larder()))->read($json, null, Shipped::shelf());
        $ledger = Ledger::follow($recipe, Shipped::larder(), 6.0, 3, Climate::usual());
        self::assertEqualsWithDelta(6 * 430.0, $ledger->flow('syrup')->bases['jaggery-syrup'], 1e-6);
        self::assertEqualsWithDelta(6 * 430.0, $ledger->bases()['jaggery-syrup'], 1e-6);
        self::assertEqualsWithDelta((6 * 430.0 * 1000) / 1400, $ledger->flow('syrup')->taken->grams['jaggery'], 0.6);
    }

    /** What the pulse has drunk stays in it: with no more water than that nothing is poured off. */
    public function testOnlyWhatIsNotDrunkIsPouredOff(): void
    {
        $document = Shipped::document('recipes/filled-flatbread');
        $recipe = Shipped::recipe('filled-flatbread');
        $steps = $document['steps'];
        self::assertIsArray($steps);
        $drain = $recipe->step('drain')->sources()[0];
        $at = array_search($drain, array_column($steps, 'id'), true);
        $takes = array_column((array) ((array) $steps[(int) $at])['takes'], 'ingredient');
        $water = array_search('water', $takes, true);
        $dry = (new RecipeReader(Shipped::larder()))->read(
            Document::changed($document, ["/steps/$at/takes/$water/grams" => 200]),
            null,
            Shipped::shelf(),
        );
        self::assertSame(0.0, Ledger::follow($dry, Shipped::larder(), 1.0, 1, Climate::usual())->flow('drain')->waste);
    }

    /** A tenth of what is in the pan, by weight, has to go as steam. */
    public function testWaterIsTakenOffByTheGram(): void
    {
        $json = Document::changed(Shipped::document('recipes/basundi'), ['/steps/1/target' => ['kind' => 'water-off', 'value' => 0.1]]);
        $recipe = (new RecipeReader(Shipped::larder()))->read($json, null, Shipped::shelf());
        $flow = Ledger::follow($recipe, Shipped::larder(), 1.0, 1, Climate::usual())->flow('reduce');
        self::assertEqualsWithDelta(0.1 * $flow->taken->massGrams(), $flow->waterOff, 1e-6);
    }

    /** From three hundredths of starch on a boiling liquid catches like thin pudding. */
    public function testStarchCatches(): void
    {
        $step = Shipped::recipe('basundi')->step('boil');
        foreach ([[4.2, HeatCap::Water], [4.4, HeatCap::ThinPudding]] as [$semolina, $cap]) {
            $pot = Contents::of('water', 100 - $semolina, 20)->plus(Contents::of('semolina', $semolina, 20), Shipped::larder());
            $flow = new StepFlow($step, $pot, $pot, 0.0, 0.0, 0.0, []);
            // Semolina is 0.7 of starch.
            self::assertSame($cap, $flow->heatCap(Shipped::larder()), "$semolina %");
        }
    }
}
