<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Explaining;

use FeastLadle\Amounts\Backwards;
use FeastLadle\Amounts\BoxCount;
use FeastLadle\Amounts\DemandCurve;
use FeastLadle\Amounts\LeftInPots;
use FeastLadle\Amounts\PotAlternatives;
use FeastLadle\Amounts\Quantities;
use FeastLadle\Amounts\QuantityPlanner;
use FeastLadle\Amounts\ServingFit;
use FeastLadle\Batch\Pours;
use FeastLadle\Cards\CardMaker;
use FeastLadle\Cards\PotSticks;
use FeastLadle\Explaining\FirstFit;
use FeastLadle\Explaining\StopSigns;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Tests\Support\Shipped;
use FeastLadle\Vessel\Lifting;
use PHPUnit\Framework\TestCase;

/** What is told around the pots of the temple feast. */
final class AroundThePotsTest extends TestCase
{
    private static ?Quantities $quantities = null;

    public function testDemandBuildsUpOverTheSittings(): void
    {
        $feast = Shipped::templeFeast();
        $planned = self::quantities()->dishes['sesame'];
        $rows = DemandCurve::of($feast, $planned);
        self::assertSame(
            ['Offering at the lamp', 'First sitting', 'Second sitting', 'Boxes for the rowers'],
            array_column($rows, 'moment'),
        );
        self::assertEqualsWithDelta(90, $rows[3]['now'], 1e-6);
        self::assertEqualsWithDelta($planned->demand->total, $rows[3]['soFar'], 1.0);
        self::assertGreaterThan($rows[0]['soFar'], $rows[1]['soFar']);
    }

    public function testPoursSayWhoLiftsAndWhatRoomIsLeft(): void
    {
        foreach (self::quantities()->dishes as $planned) {
            foreach (Pours::of($planned->batchPlan, Shipped::larder(), 20) as $pour) {
                self::assertNotSame($pour->from->id, $pour->into->id);
                self::assertGreaterThan($pour->from->emptyKg, $pour->liftKg);
                self::assertGreaterThanOrEqual(-1e-6, $pour->roomMl, $pour->step->title);
                self::assertSame(Lifting::of($pour->liftKg, 20, $pour->celsius >= 70), $pour->who);
            }
        }
    }

    public function testADipstickStopsBelowWhereItBegins(): void
    {
        $sticks = (new PotSticks(Shipped::larder()))->of(
            (new FeastPlanner(Shipped::larder()))->quantities(Shipped::feast(), Shipped::kitchen())->dishes['basundi'],
        );
        self::assertNotSame([], $sticks);
        $stops = 0;
        foreach ($sticks as $stick) {
            $begin = null;
            foreach ($stick->levels as $level) {
                if ('stop' === $level['what']) {
                    self::assertLessThan($begin, $level['depthMm']);
                    ++$stops;
                }
                $begin = 'begin' === $level['what'] ? $level['depthMm'] : $begin;
            }
            self::assertGreaterThanOrEqual(5, \count($stick->litres));
        }
        self::assertGreaterThan(0, $stops);
    }

    public function testPiecesAreServedFromPlattersAndPuddingFromPails(): void
    {
        $free = array_values(Shipped::temple()->vessels);
        $pudding = ServingFit::of(self::quantities()->dishes['pudding'], $free, Shipped::larder());
        $sesame = ServingFit::of(self::quantities()->dishes['sesame'], $free, Shipped::larder());
        self::assertStringStartsWith('pail', $pudding['used'][0]->id);
        self::assertStringStartsWith('platter', $sesame['used'][0]->id);
        self::assertSame(0.0, $pudding['short']);
        self::assertGreaterThan(0, ServingFit::of(self::quantities()->dishes['pudding'], [], Shipped::larder())['short']);
    }

    public function testBeforeANeverLeaveStepTheNextThingsStandReady(): void
    {
        $ready = [];
        foreach (CardMaker::cards(self::quantities()) as $card) {
            foreach ($card->steps as $step) {
                if (null !== $step->ready) {
                    $ready[$card->dish->dish->id.'/'.$step->step->id] = $step->ready;
                }
            }
        }
        // The tray stands greased before the slab is cooked to the end.
        self::assertContains('Hall tray 4', $ready['barfi/cook']->vessels);
        self::assertNotSame([], $ready['kesari/merge']->bowls);
        self::assertArrayNotHasKey('kesari/dice', $ready);
    }

    public function testBowlsAreNumberedInTheOrderInWhichTheyEnter(): void
    {
        foreach (CardMaker::cards(self::quantities()) as $card) {
            $numbers = [];
            foreach ($card->steps as $step) {
                foreach ($step->bowls as $bowl) {
                    $numbers[] = $bowl->number;
                }
            }
            self::assertSame(range(1, \count($numbers)), $numbers);
            self::assertCount(\count($numbers) * \count($card->rounds()), array_unique($card->bowlIds()));
        }
    }

    public function testABoxIsGoodUntilItsShortestSweet(): void
    {
        $feast = Shipped::templeFeast();
        $count = BoxCount::of($feast->boxes[0], $feast, self::quantities(), Shipped::larder());
        self::assertSame('Coconut and rose barfi', $count->shortest);
        self::assertSame($feast->firstMoment()->at->getTimestamp() + 4320 * 60, $count->eatBy?->getTimestamp());
        self::assertContains('sesame', $count->allergens);
        self::assertEqualsWithDelta(22.5, $count->packMinutes(), 1e-6);
        self::assertEqualsWithDelta(array_sum(array_column($count->contents, 'grams')), $count->grams, 1e-6);
    }

    public function testAMenuThatCanNotFitIsToldAtOnce(): void
    {
        $larder = Shipped::larder();
        $fits = FirstFit::of(Shipped::templeFeast(), Shipped::temple(), self::quantities(), $larder);
        self::assertSame(['room enough', 'room enough', 'room enough'], array_map(static fn (FirstFit $f): string => $f->verdict(), $fits));
        $crowd = Shipped::feast(1500);
        $many = FirstFit::of($crowd, Shipped::kitchen(), (new QuantityPlanner($larder))->plan($crowd, Shipped::kitchen()), $larder);
        self::assertContains('can not fit', array_map(static fn (FirstFit $f): string => $f->verdict(), $many));
        foreach ($many as $fit) {
            self::assertGreaterThanOrEqual(0, $fit->needMinutes);
        }
    }

    public function testWhatThickensIsStoppedLooserTheLongerItWaits(): void
    {
        $kitchen = Shipped::temple();
        $feast = Shipped::templeFeast();
        $plan = (new FeastPlanner(Shipped::larder()))->plan($feast, $kitchen);
        $signs = (new StopSigns(Shipped::larder()))->of($plan, $feast, $kitchen);
        self::assertNotSame([], $signs);
        foreach ($signs as $sign) {
            self::assertGreaterThan(0, $sign->waitMinutes);
            self::assertGreaterThan(0, $sign->grams());
            self::assertStringContainsString('ladle', $sign->test(), 'What is ladled, and waits, runs off the ladle at the stove.');
        }
    }

    public function testFryingFatIsLeftLessWhatThePiecesDrank(): void
    {
        $left = array_values(
            array_filter(
                LeftInPots::of(self::quantities(), Shipped::larder()),
                static fn (array $r): bool => 'balls' === $r['dish']->dish->id,
            ),
        );
        self::assertGreaterThan(0, $left[0]['drunk']);
        self::assertEqualsWithDelta(
            self::quantities()->dishes['balls']->measured['frying-oil'] - $left[0]['drunk'],
            $left[0]['grams'],
            1e-6,
        );
    }

    public function testOnePotOrSeveralAreShownQuickestFirst(): void
    {
        $planned = self::quantities()->dishes['pudding'];
        $rows = (new PotAlternatives(Shipped::temple(), Shipped::larder()))->of($planned, $planned->batchPlan->pots['cook']);
        self::assertGreaterThan(1, \count($rows));
        $totals = array_map(static fn (array $r): int => $r['batches'] * $r['minutes'], $rows);
        $sorted = $totals;
        sort($sorted);
        self::assertSame($sorted, $totals);
    }

    public function testFromWhatThereIs(): void
    {
        $backwards = new Backwards(Shipped::larder(), Shipped::temple());
        $recipe = Shipped::recipe('pulse-coconut-pudding');
        $factor = $backwards->factorOf($recipe, 'coconut', 1400);
        self::assertEqualsWithDelta(2.0, $factor ?? 0, 0.2);
        self::assertEqualsWithDelta(1400, $backwards->grams($recipe, 'coconut', $factor ?? 0), 0.01);
        self::assertNull($backwards->factorOf($recipe, 'semolina', 500));
        $pot = $backwards->factorIn($recipe, Shipped::temple()->vessels['small-pot']);
        self::assertGreaterThan(1, $pot);
        self::assertLessThan($backwards->factorIn($recipe, Shipped::temple()->vessels['great-pot']), $pot);
        self::assertNull($backwards->factorIn($recipe, Shipped::temple()->vessels['griddle']));
        $yield = $backwards->yield($recipe, 2.0);
        $guests = $backwards->guests($recipe, $yield);
        self::assertGreaterThan(25, $guests);
        self::assertSame(0, $backwards->guests($recipe, 10));
        foreach ($backwards->wholePacks($recipe, 2.0) as $pack) {
            self::assertGreaterThanOrEqual(1, $pack['packs']);
            self::assertGreaterThanOrEqual(1.0, $pack['factor']);
            self::assertLessThanOrEqual(4.0, $pack['factor']);
        }
    }

    private static function quantities(): Quantities
    {
        return self::$quantities ??= (new QuantityPlanner(Shipped::larder()))->plan(Shipped::templeFeast(), Shipped::temple());
    }
}
