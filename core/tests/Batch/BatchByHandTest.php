<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Batch;

use FeastLadle\Batch\FryingLoad;
use FeastLadle\Batch\GrainWater;
use FeastLadle\Batch\Growing;
use FeastLadle\Batch\PotChoice;
use FeastLadle\Batch\PotChooser;
use FeastLadle\Batch\PotReason;
use FeastLadle\Batch\Pours;
use FeastLadle\Batch\SteamWater;
use FeastLadle\Flow\Ledger;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Heat\Climate;
use FeastLadle\Heat\Frying;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Kitchen\Measures;
use FeastLadle\Kitchen\Storeroom;
use FeastLadle\Tests\Support\Shipped;
use FeastLadle\Vessel\FillLimits;
use FeastLadle\Vessel\Lifting;
use FeastLadle\Vessel\Metal;
use FeastLadle\Vessel\Shape;
use FeastLadle\Vessel\StraightShape;
use FeastLadle\Vessel\Vessel;
use FeastLadle\Vessel\VesselKind;
use PHPUnit\Framework\TestCase;

/** Growing, batches, pots and loads, counted out by hand. */
final class BatchByHandTest extends TestCase
{
    public function testWhatEachBatchTakes(): void
    {
        self::assertEqualsWithDelta(300.0, Growing::perBatch(100, 6, 2), 1e-9);
        // 100 × 3^0.85.
        self::assertEqualsWithDelta(254.4211, Growing::perBatch(100, 6, 2, Growing::STRONG), 0.0001);
        // 5 packs of 500 g hold 250 × 10; 4.99 only four; never less than one.
        self::assertEqualsWithDelta(10.0, Growing::wholePackFactor(250, 10, 500), 1e-9);
        self::assertEqualsWithDelta(8.0, Growing::wholePackFactor(250, 9.99, 500), 1e-9);
        self::assertEqualsWithDelta(2.0, Growing::wholePackFactor(250, 0.4, 500), 1e-9);
        // 4 = 2 × k^0.5: k is 4.
        self::assertEqualsWithDelta(4.0, Growing::wholePackFactor(2, 4.5, 4, 0.5), 1e-9);
    }

    public function testWaterForGrain(): void
    {
        // 2 kg take 1.5 − 0.9 each; 30 min at 0.9 kW boil 0.71777 kg off; 0.2 go in the wait.
        self::assertEqualsWithDelta(1.2 + 0.71777 + 0.2, GrainWater::kg(2, 1.5, 0.9, 30, 0.9, 0.2), 0.00001);
        self::assertEqualsWithDelta(0.71777, GrainWater::kg(2, 0.9, 1.5, 30, 0.9), 0.00001);
    }

    public function testWaterUnderASteamer(): void
    {
        $steamer = $this->vessel('steamer', VesselKind::Steamer, StraightShape::rectangular(200, 250, 400));
        // 60 mm are 3 l; all but 15 mm of it lasts: 2.25 l at 0.4 × 1.5 kW.
        $water = SteamWater::under($steamer, 200, 1.5);
        self::assertEqualsWithDelta(3.0, $water->litres, 1e-6);
        self::assertEqualsWithDelta(141.06, $water->lastsMinutes, 0.01);
        self::assertEqualsWithDelta(0.94, $water->topUpLitres, 0.001);
        self::assertSame(0.0, SteamWater::under($steamer, 141, 1.5)->topUpLitres);
        self::assertSame(\INF, SteamWater::under($steamer, 141, 0.0)->lastsMinutes);
        // A flat one: a quarter of its height, of which a quarter stays.
        $flat = SteamWater::under($this->vessel('flat', VesselKind::Steamer, StraightShape::rectangular(200, 250, 160)), 10, 1.5);
        self::assertEqualsWithDelta(2.0, $flat->litres, 1e-6);
        self::assertEqualsWithDelta((1.5 * 2257) / 36, $flat->lastsMinutes, 0.01);
    }

    public function testALoadInOnePan(): void
    {
        $flow = $this->fry(4.0);
        $pieces = (int) ceil($flow->taken->pieces - 1e-9);
        $pieceKg = $flow->taken->massGrams() / $pieces / 1000;
        $pieceMl = $flow->taken->volumeMl(Shipped::larder()) / $pieces;
        // A pan of 240 × 250 mm, 55 mm of fat: 3.3 l, 2.739 kg. A ball of 36 mm covers 10.18 cm²: 0.55 × 600 / 10.18 are 32.
        $pan = StraightShape::rectangular(240, 250, 200);
        $load = FryingLoad::in($pan, $flow, $flow->step->gives->pieces ?? self::fail(), 55, Shipped::larder());
        self::assertNotNull($load);
        $each = (int) min(32, floor((0.175 * 2.739) / $pieceKg));
        self::assertGreaterThan(10, $each);
        self::assertSame($each, $load->piecesPerLoad);
        self::assertEqualsWithDelta(2739.0, $load->fatGrams, 0.01);
        self::assertSame((int) ceil($pieces / $each), $load->loads);
        self::assertEqualsWithDelta(3300 + $each * $pieceMl, $load->fullestMl, 0.01);
        // Fewer than a load: all of them at once.
        $few = $this->fry(0.2);
        $all = FryingLoad::in($pan, $few, $few->step->gives->pieces ?? self::fail(), 55, Shipped::larder());
        self::assertSame([(int) ceil($few->taken->pieces - 1e-9), 1], [$all?->piecesPerLoad, $all?->loads]);
    }

    /** In little fat as many lie there as on a griddle, whatever the fat weighs: 0.6 of 600 cm² over 18.1 cm² are 19. */
    public function testShallowFatHoldsWhatLiesSideBySide(): void
    {
        $flow = Ledger::follow(Shipped::recipe('sweet-potato-rounds'), Shipped::larder(), 2.0, 1, Climate::usual())->flow('fry');
        $piece = $flow->step->gives->pieces ?? self::fail();
        self::assertSame(48.0, $piece->widthMm);
        $load = FryingLoad::in(StraightShape::rectangular(240, 250, 60), $flow, $piece, 8, Shipped::larder());
        self::assertNotNull($load);
        self::assertSame(19, $load->piecesPerLoad);
        // 8 mm on 600 cm² are 480 ml, 398 g hot.
        self::assertEqualsWithDelta(398.4, $load->fatGrams, 0.01);
        self::assertSame((int) ceil($flow->taken->pieces / $load->piecesPerLoad), $load->loads);
        self::assertNull(FryingLoad::in(StraightShape::rectangular(40, 40, 60), $flow, $piece, 8, Shipped::larder()));
    }

    /** Fat that would rise over the limit is taken a millimetre at a time, down to six tenths of what is wished and no further. */
    public function testAShallowPanTakesLessFat(): void
    {
        $flow = $this->fry(4.0);
        $piece = $flow->step->gives->pieces ?? self::fail();
        $in = static fn (float $height): ?FryingLoad => FryingLoad::in(
            StraightShape::rectangular(240, 250, $height),
            $flow,
            $piece,
            55,
            Shipped::larder(),
        );
        // 45 % of 110 mm are 49.5 mm, with the pieces in it.
        $load = $in(110);
        self::assertNotNull($load);
        self::assertLessThanOrEqual(0.45 * 6600, $load->fullestMl);
        self::assertGreaterThan(0.45 * 6600 - 90, $load->fullestMl, 'not a millimetre and a half less than there may be');
        $depth = $load->fatGrams / 0.83 / 60;
        self::assertEqualsWithDelta(round($depth), $depth, 1e-6);
        // 33 mm are the least; with a load in it that takes some 42 mm of the limit.
        self::assertNull($in(80));
        $least = $in(96);
        self::assertNotNull($least);
        self::assertGreaterThanOrEqual(0.6 * 55, $least->fatGrams / 0.83 / 60);
        self::assertNull(
            FryingLoad::in(
                StraightShape::rectangular(240, 250, 200),
                $flow,
                $piece,
                55,
                Shipped::larder(),
                new FillLimits(['deep-fat' => 0.1]),
            ),
        );
        // A pan that holds no single piece.
        self::assertNull(FryingLoad::in(StraightShape::rectangular(40, 40, 200), $flow, $piece, 55, Shipped::larder()));
    }

    public function testAPotIsFullAtItsLimitAndNotBefore(): void
    {
        $run = Ledger::follow(Shipped::recipe('basundi'), Shipped::larder(), 1.0, 1, Climate::usual())->runs()[0];
        $pot = $this->vessel('pot', VesselKind::Pot, StraightShape::rectangular(200, 250, 200));
        $choice = static fn (float $ml): PotChoice => new PotChoice($run, [$pot], $ml, null, PotReason::Smallest, false);
        self::assertEqualsWithDelta(6000.0, $choice(1.0)->limitMl(), 1e-6);
        self::assertEqualsWithDelta(0.25, $choice(2500.0)->fullShare(), 1e-9);
        self::assertTrue($choice(6000.0)->isWithinLimit());
        self::assertFalse($choice(6000.00001)->isWithinLimit());
        self::assertSame('pot', $choice(1.0)->vessel()->id);
    }

    public function testThePotMustHoldTheFullestMomentAndTheSmallestSuchIsTaken(): void
    {
        $run = Ledger::follow(Shipped::recipe('coconut-rose-barfi'), Shipped::larder(), 1.0, 1, Climate::usual())->runs()[0];
        $height = static fn (float $ml): float => $ml / 50;
        $pots = [];
        foreach (['short' => $run->needBrimMl - 0.01, 'just' => $run->needBrimMl, 'tall' => 2 * $run->needBrimMl] as $id => $ml) {
            $pots[$id] = $this->vessel($id, $run->kind, StraightShape::rectangular(200, 250, $height($ml)));
        }
        $plan = (new PotChooser($this->kitchen($pots), Shipped::larder()))->plan(
            Shipped::recipe('coconut-rose-barfi'),
            static fn (int $n): float => 1.0,
        );
        self::assertNotNull($plan->pots[$run->id] ?? null);
        self::assertContains($plan->pots[$run->id]->vessel()->id, ['just', 'tall']);
        $none = (new PotChooser($this->kitchen(['short' => $pots['short']]), Shipped::larder()))->plan(
            Shipped::recipe('coconut-rose-barfi'),
            static fn (int $n): float => 1.0 * $n,
        );
        self::assertNotSame([], $none->missing);
        $first = array_values(array_filter($none->missing, static fn ($m): bool => $m->run->id === $run->id))[0] ?? null;
        self::assertEqualsWithDelta($run->needBrimMl, $first?->neededBrimMl, 1e-6);
        self::assertEqualsWithDelta($run->needBrimMl - 0.01, $first?->largestBrimMl, 1e-6);
    }

    public function testEachPourIsLiftedByItsWeight(): void
    {
        $chooser = new PotChooser(Shipped::kitchen(), Shipped::larder());
        $plan = $chooser->plan(Shipped::recipe('pineapple-kesari'), static fn (): float => 1.5);
        $pours = Pours::of($plan, Shipped::larder(), 20.0);
        self::assertNotSame([], $pours);
        $pots = $plan->potOfStep();
        $found = 0;
        foreach ($plan->ledger->flows as $id => $flow) {
            foreach ($flow->step->sources() as $source) {
                $from = $pots[$source] ?? null;
                $into = $pots[$id] ?? null;
                if (null === $from || null === $into || $from->run->id === $into->run->id) {
                    continue;
                }
                $pour = $pours[$found++];
                $kg = $from->vessel()->emptyKg + $plan->ledger->flow($source)->gives->massGrams() / 1000 / \count($from->vessels);
                self::assertEqualsWithDelta($kg, $pour->liftKg, 1e-9);
                self::assertSame([$from->vessel()->id, $into->vessel()->id], [$pour->from->id, $pour->into->id]);
                self::assertEqualsWithDelta($into->limitMl() - $into->fullestMl, $pour->roomMl, 1e-9);
                self::assertSame(Lifting::of($kg, 20.0, $pour->celsius >= 70.0), $pour->who);
            }
        }
        self::assertCount($found, $pours);
    }

    /** The least pan is as high as the fat at six tenths of the wished depth and a load in it come to at the limit. */
    public function testSixTenthsOfTheDepthIsTheLeast(): void
    {
        $flow = $this->fry(4.0);
        $pieces = (int) ceil($flow->taken->pieces - 1e-9);
        $pieceMl = $flow->taken->volumeMl(Shipped::larder()) / $pieces;
        $pieceKg = $flow->taken->massGrams() / $pieces / 1000;
        // 33 mm over 600 cm²: 1.98 l, 1.6434 kg of hot fat.
        $each = (int) min(32, floor(0.175 * 1.6434 / $pieceKg));
        $least = (1980 + $each * $pieceMl) / 0.45 / 60;
        $in = static fn (float $height): ?FryingLoad => FryingLoad::in(
            StraightShape::rectangular(240, 250, $height),
            $flow,
            $flow->step->gives->pieces ?? self::fail(),
            55,
            Shipped::larder(),
        );
        self::assertNull($in($least - 0.01));
        self::assertEqualsWithDelta(1643.4, $in($least + 0.01)?->fatGrams, 0.01);
    }

    /** Where the fat decides: a thousandth too little for one piece more. */
    public function testAPieceMoreNeedsItsFat(): void
    {
        $flow = $this->fry(4.0);
        $pieceKg = $flow->taken->massGrams() / ceil($flow->taken->pieces - 1e-9) / 1000;
        foreach ([[0.9995, 11], [1.0005, 12]] as [$share, $each]) {
            $area = $share * 12 * $pieceKg / 0.175 / 0.83 / 55 * 1e6;
            $pan = StraightShape::rectangular(1000, $area / 1000, 400);
            $load = FryingLoad::in($pan, $flow, $flow->step->gives->pieces ?? self::fail(), 55, Shipped::larder());
            self::assertSame(min($each, Frying::piecesPerLoad($area / 1e6, \M_PI / 4 * 0.036 ** 2, 9.0, 0.001)), $load?->piecesPerLoad);
        }
    }

    public function testOfTwoPansThatFryAsManyTheSmallerIsTaken(): void
    {
        $pans = [];
        foreach (['big' => 220, 'small' => 200] as $id => $height) {
            $pans[$id] = $this->vessel($id, VesselKind::Pan, StraightShape::rectangular(240, 250, $height));
        }
        $kitchen = $this->kitchen([...Shipped::kitchen()->vessels, ...$pans]);
        $others = array_filter($kitchen->vessels, static fn (Vessel $v): bool => VesselKind::Pan !== $v->kind || isset($pans[$v->id]));
        $plan = (new PotChooser($this->kitchen($others), Shipped::larder()))->plan(
            Shipped::recipe('milk-solids-balls'),
            static fn (): float => 1.0,
        );
        self::assertSame('small', $plan->pots['fry']->vessel()->id);
    }

    /** What rests in several bowls is poured from each of them by itself. */
    public function testOfSeveralVesselsEachIsLiftedAlone(): void
    {
        $several = 0;
        foreach ([['filled-flatbread', 20.0], ['date-nut-rolls', 20.0]] as [$slug, $factor]) {
            $plan = (new PotChooser(Shipped::temple(), Shipped::larder()))->plan(Shipped::recipe($slug), static fn (): float => $factor);
            $pots = $plan->potOfStep();
            foreach (Pours::of($plan, Shipped::larder(), 20.0) as $pour) {
                foreach ($pour->step->sources() as $source) {
                    $from = $pots[$source] ?? null;
                    if (null === $from || $from->vessel()->id !== $pour->from->id || 1 === \count($from->vessels)) {
                        continue;
                    }
                    ++$several;
                    $grams = $plan->ledger->flow($source)->gives->massGrams();
                    self::assertEqualsWithDelta($from->vessel()->emptyKg + $grams / \count($from->vessels) / 1000, $pour->liftKg, 1e-9);
                }
            }
        }
        self::assertGreaterThan(0, $several);
    }

    /** @param array<string, Vessel> $vessels */
    private function kitchen(array $vessels): Kitchen
    {
        $shipped = Shipped::kitchen();

        return new Kitchen(
            'Test',
            $shipped->burners,
            $vessels,
            $shipped->people,
            Climate::usual(),
            new Measures(240, 1),
            new Storeroom(40),
        );
    }

    private function vessel(string $id, VesselKind $kind, Shape $shape): Vessel
    {
        return new Vessel($id, $id, $kind, $shape, Metal::Steel, 1.0);
    }

    private function fry(float $factor): StepFlow
    {
        return Ledger::follow(Shipped::recipe('milk-solids-balls'), Shipped::larder(), $factor, 1, Climate::usual())->flow('fry');
    }
}
