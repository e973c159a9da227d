<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Timing;

use FeastLadle\Batch\PotChoice;
use FeastLadle\Batch\PotChooser;
use FeastLadle\Batch\PotReason;
use FeastLadle\Flow\Contents;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Flow\VesselRun;
use FeastLadle\Heat\Burner;
use FeastLadle\Heat\Flame;
use FeastLadle\Heat\Fuel;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Recipe\Growth;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Recipe\Step;
use FeastLadle\Recipe\StepTime;
use FeastLadle\Recipe\StepWork;
use FeastLadle\Tests\Support\Document;
use FeastLadle\Tests\Support\Shipped;
use FeastLadle\Timing\Minutes;
use FeastLadle\Timing\StepTimer;
use FeastLadle\Vessel\Metal;
use FeastLadle\Vessel\StraightShape;
use FeastLadle\Vessel\Vessel;
use FeastLadle\Vessel\VesselKind;
use PHPUnit\Framework\TestCase;

final class StepTimerTest extends TestCase
{
    private StepTimer $timer;

    protected function setUp(): void
    {
        $this->timer = new StepTimer(Shipped::kitchen(), Shipped::larder());
    }

    public function testAStrongerFireIsFasterUntilTheMilkStandsNoMore(): void
    {
        $weak = $this->minutes('basundi', 'reduce', 1.0, $this->gas(1.75));
        $strong = $this->minutes('basundi', 'reduce', 1.0, $this->gas(3.0));
        self::assertLessThan($weak, $strong);
        // 14 kW/m² at the base is the most that milk stands: beyond that a bigger flame only burns it.
        self::assertSame(
            $this->minutes('basundi', 'reduce', 1.0, $this->gas(12)),
            $this->minutes('basundi', 'reduce', 1.0, $this->gas(40)),
        );
    }

    public function testTwiceTheMilkTakesAboutTwiceAsLongToReduce(): void
    {
        $once = $this->minutes('basundi', 'reduce', 1.0, $this->gas(3));
        $twice = $this->minutes('basundi', 'reduce', 2.0, $this->gas(3));
        self::assertEqualsWithDelta(2.0, $twice / $once, 0.08);
    }

    public function testTwiceTheSemolinaDoesNotTakeTwiceAsLongToRoast(): void
    {
        // In the same pan, that both go into.
        $once = $this->minutes('pineapple-kesari', 'roast', 1.0, $this->gas(3), ['roast' => 'round-pan']);
        $twice = $this->minutes('pineapple-kesari', 'roast', 2.0, $this->gas(3), ['roast' => 'round-pan']);
        self::assertGreaterThan($once, $twice);
        self::assertLessThan(2 * $once, $twice);
    }

    public function testTheRecipesOwnPanOnTheReferenceFireTakesTheRecipesOwnMinutes(): void
    {
        self::assertEqualsWithDelta(12, $this->minutes('pineapple-kesari', 'roast', 1.0, $this->gas(1.75)), 2);
    }

    public function testAFireThatCanNotKeepASimmerHotIsNoFireForIt(): void
    {
        [$flow, $pot] = $this->step('pulse-coconut-pudding', 'cook', 4.0);
        self::assertNotNull($this->timer->minutes($flow, $pot, 4.0, $this->gas(3.0)));
        self::assertNull($this->timer->minutes($flow, $pot, 4.0, $this->gas(0.15)), 'its surface loses more than the fire gives');
    }

    public function testAFireTooWeakForItsPotNeverGetsThere(): void
    {
        [$flow, $pot] = $this->step('basundi', 'boil', 1.0);
        self::assertNull($this->timer->minutes($flow, $pot, 1.0, $this->gas(0.4)));
        self::assertNull($this->timer->minutes($flow, $pot, 1.0, null));
    }

    /** By hand: 36 cm across, 0.48 kW stand at 97.5 °C and lose 10.8 g a minute. */
    public function testAThickMassReducesBelowTheBoilAndALowFlameIsRaised(): void
    {
        $timer = new StepTimer($this->atTheSea(), Shipped::larder());
        [$flow, $pot] = $this->thickMilk(Flame::Medium);
        $wide = new Burner('b', 'ring', Fuel::Gas, 0.48 / 0.45, 110);
        self::assertSame(Flame::High, $timer->fire($flow, $pot, 1.0, $wide)->flame, 'on medium it would stand at 78 °C');
        self::assertEqualsWithDelta(400 / 10.8, $timer->minutes($flow, $pot, 1.0, $wide)->exact ?? 0.0, 0.3);
        // At 70.9 °C it dries at the rim before it is reduced.
        self::assertNull($timer->minutes($flow, $pot, 1.0, new Burner('b', 'ring', Fuel::Gas, 0.4, 110)));
    }

    /** By hand: 20 kg from 28 °C to the boil take 4.18 · 20 · 72 = 6019 kJ; a fixed 18 min were told for as much as a cupful. */
    public function testNoStepOnAFireIsShorterThanItsHeat(): void
    {
        $timer = new StepTimer($this->atTheSea(), Shipped::larder());
        [$flow, $pot] = $this->water(20_000.0);
        $ring = new Burner('b', 'ring', Fuel::Gas, 3.0, 110);
        self::assertSame(Flame::High, $timer->fire($flow, $pot, 1.0, $ring)->flame);
        $minutes = $timer->minutes($flow, $pot, 1.0, $ring);
        self::assertEqualsWithDelta(6019 / 1.35 / 60, $minutes->exact ?? 0.0, 0.1);
        self::assertGreaterThan(80, $minutes->max ?? 0);
        // On a great fire the recipe's low flame gives it in time, and the recipe's minutes hold.
        $great = new Burner('b', 'pit', Fuel::Gas, 60.0, 110);
        self::assertSame(Flame::Low, $timer->fire($flow, $pot, 1.0, $great)->flame);
        self::assertSame(18, $timer->minutes($flow, $pot, 1.0, $great)->likely ?? 0);
    }

    /** Two kilos of what goes as steam take 4514 kJ, wherever the recipe has its minutes from. */
    public function testWhatLeavesAsSteamIsPaidFor(): void
    {
        $timer = new StepTimer($this->atTheSea(), Shipped::larder());
        [$flow, $pot] = $this->water(20_000.0, 2_000.0);
        $minutes = $timer->minutes($flow, $pot, 1.0, new Burner('b', 'ring', Fuel::Gas, 3.0, 110));
        self::assertEqualsWithDelta((6019 + 4514) / 1.35 / 60, $minutes->exact ?? 0.0, 0.1);
    }

    /** @return array{StepFlow, PotChoice} */
    private function thickMilk(Flame $flame): array
    {
        $taken = Contents::of('milk', 4000, 100)->withWaterOff(2300);

        return $this->onAFire(
            new StepFlow($this->told(Growth::BoilOff, $flame), $taken, $taken->withWaterOff(400), 400, 0, 1700, [], peakCelsius: 100),
        );
    }

    /** @return array{StepFlow, PotChoice} */
    private function water(float $grams, float $off = 0.0): array
    {
        $taken = Contents::of('water', $grams, 28);

        return $this->onAFire(
            new StepFlow(
                $this->told(Growth::Fixed, Flame::Low),
                $taken,
                $taken->withWaterOff($off),
                $off,
                0,
                $grams,
                [],
                peakCelsius: 100,
            ),
        );
    }

    /** @return array{StepFlow, PotChoice} in a pot of 36 cm */
    private function onAFire(StepFlow $flow): array
    {
        $pot = new Vessel('pot', 'Pot', VesselKind::Pot, StraightShape::round(360, 400), Metal::Aluminium, 3.2);

        return [$flow, new PotChoice(VesselRun::of([$flow]), [$pot], $flow->fullestMl, null, PotReason::Widest, false)];
    }

    private function told(Growth $growth, Flame $flame): Step
    {
        $step = Shipped::recipe('basundi')->step('reduce');

        return new Step(
            $step->id,
            Growth::BoilOff === $growth ? Process::Reduce : Process::Simmer,
            $step->title,
            $step->words,
            [],
            [],
            $step->vessel,
            new StepWork($flame, new StepTime($growth, 15, 18, 25), $step->work->attention, $step->work->target, false),
            $step->gives,
        );
    }

    private function atTheSea(): Kitchen
    {
        $document = ['altitudeM' => 0, 'roomCelsius' => 28, 'humidity' => 0.6] + Shipped::document('kitchens/kumbhar-lane');

        return (new KitchenReader())->read(json_encode($document, \JSON_THROW_ON_ERROR));
    }

    public function testRestingTakesAsLongForManyAsForFew(): void
    {
        self::assertSame(
            $this->minutes('milk-solids-balls', 'rest', 0.5, null),
            $this->minutes('milk-solids-balls', 'rest', 3.0, null),
        );
    }

    public function testRollingGrowsWithThePieces(): void
    {
        [$flow, $pot] = $this->step('milk-solids-balls', 'shape', 2.0);
        $minutes = $this->timer->minutes($flow, $pot, 2.0, null);
        self::assertNotNull($minutes);
        self::assertEqualsWithDelta(($flow->gives->pieces * 11) / 60, $minutes->likely, 0.5);
        self::assertLessThan($minutes->likely, $minutes->min);
        self::assertGreaterThan($minutes->likely, $minutes->max);
    }

    public function testFryingGrowsWithThePanfulsAndHeatsTheFatOnce(): void
    {
        [$flow, $pot] = $this->step('milk-solids-balls', 'fry', 1.0);
        [$more, $morePot] = $this->step('milk-solids-balls', 'fry', 2.0);
        $few = $this->timer->minutes($flow, $pot, 1.0, $this->gas(3));
        $many = $this->timer->minutes($more, $morePot, 2.0, $this->gas(3));
        self::assertNotNull($few);
        self::assertNotNull($many);
        self::assertGreaterThan(7 * ($pot->frying->loads ?? 0), $few->likely);
        self::assertLessThan(2 * $few->likely, $many->likely);
    }

    public function testAFryThatSaysItsLoadAndTheMinutesBetweenIsTimedByThem(): void
    {
        [$free, $pan] = $this->step('milk-solids-balls', 'fry', 1.0);
        self::assertGreaterThan(5, $pan->frying?->piecesPerLoad);
        $document = Shipped::document('recipes/milk-solids-balls');
        \assert(\is_array($document['steps']));
        $at = '/steps/'.array_search('fry', array_column($document['steps'], 'id'), true).'/time/';
        $recipe = (new RecipeReader(Shipped::larder()))->read(Document::changed($document, [
            $at.'load' => ['pieces' => 5],
            $at.'between' => 2,
        ]));
        $plan = (new PotChooser(Shipped::kitchen(), Shipped::larder()))->plan($recipe, static fn (): float => 1.0);
        $pot = $plan->potOfStep()['fry'];
        $flow = $plan->ledger->flow('fry');
        self::assertSame(5, $pot->frying?->piecesPerLoad);
        $loads = (int) ceil($free->taken->pieces / 5 - 1e-9);
        self::assertSame($loads, $pot->frying->loads);
        $minutes = $this->timer->minutes($flow, $pot, 1.0, $this->gas(3));
        // 7 minutes a load, 2 between two, and the fat is heated first.
        self::assertGreaterThanOrEqual($loads * 7 + ($loads - 1) * 2, $minutes?->likely);
        self::assertLessThan($loads * 7 + ($loads - 1) * 2 + 20, $minutes?->likely);
    }

    public function testIceWaterCoolsFarFasterThanAir(): void
    {
        [$flow, $pot] = $this->step('basundi', 'cool', 1.0);
        $bath = $this->timer->minutes($flow, $pot, 1.0, null);
        self::assertNotNull($bath);
        self::assertLessThan(45, $bath->likely);
        self::assertLessThan($this->minutes('basundi', 'chill', 1.0, null), $bath->likely);
    }

    public function testAnEstimateIsWholeMinutesAndAtLeastOne(): void
    {
        $minutes = Minutes::of(0.1, 0.2, 0.4);
        self::assertSame([1, 1, 1], [$minutes->min, $minutes->likely, $minutes->max]);
        $minutes = Minutes::of(10.4, 12.5, 11.0);
        self::assertSame([10, 13, 13], [$minutes->min, $minutes->likely, $minutes->max]);
    }

    /** Two minutes for a heat that asks for 2.4 are a sixth too few; thirty for 30.4 nobody measures. */
    public function testRoundingTakesNoHeatThatIsMeasured(): void
    {
        $short = Minutes::of(2.0, 2.4, 2.9)->holdingHeatOf(2.4);
        self::assertSame([2, 3, 3], [$short->min, $short->likely, $short->max]);
        self::assertEqualsWithDelta(2.4, $short->exact, 1e-9);
        self::assertSame(30, Minutes::of(28.0, 30.4, 35.0)->holdingHeatOf(30.4)->likely);
    }

    /** @param array<string, string> $pots as wished, by run */
    private function minutes(string $recipe, string $step, float $factor, ?Burner $burner, array $pots = []): int
    {
        [$flow, $pot] = $this->step($recipe, $step, $factor, $pots);
        $minutes = $this->timer->minutes($flow, $pot, $factor, $burner);
        self::assertNotNull($minutes);

        return $minutes->likely;
    }

    /**
     * @param array<string, string> $pots
     *
     * @return array{StepFlow, PotChoice} in one batch, in the pot that is chosen for it
     */
    private function step(string $recipe, string $step, float $factor, array $pots = []): array
    {
        $plan = (new PotChooser(Shipped::kitchen(), Shipped::larder()))->plan(
            Shipped::recipe($recipe),
            static fn (): float => $factor,
            $pots,
        );
        self::assertSame(1, $plan->batches);

        return [$plan->ledger->flow($step), $plan->potOfStep()[$step]];
    }

    private function gas(float $kilowatts): Burner
    {
        return new Burner('b', 'ring', Fuel::Gas, $kilowatts, 110);
    }
}
