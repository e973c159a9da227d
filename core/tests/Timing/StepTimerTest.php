<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Timing;

use FeastLadle\Batch\PotChoice;
use FeastLadle\Batch\PotChooser;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Heat\Burner;
use FeastLadle\Heat\Fuel;
use FeastLadle\Tests\Support\Shipped;
use FeastLadle\Timing\Minutes;
use FeastLadle\Timing\StepTimer;
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
        $once = $this->minutes('pineapple-kesari', 'roast', 1.0, $this->gas(3));
        $twice = $this->minutes('pineapple-kesari', 'roast', 2.0, $this->gas(3));
        self::assertGreaterThan($once, $twice);
        self::assertLessThan(2 * $once, $twice);
    }

    public function testTheRecipesOwnPanOnTheReferenceFireTakesTheRecipesOwnMinutes(): void
    {
        self::assertEqualsWithDelta(12, $this->minutes('pineapple-kesari', 'roast', 1.0, $this->gas(1.75)), 2);
    }

    public function testAFireTooWeakForItsPotNeverGetsThere(): void
    {
        [$flow, $pot] = $this->step('basundi', 'boil', 1.0);
        self::assertNull($this->timer->minutes($flow, $pot, 1.0, $this->gas(0.4)));
        self::assertNull($this->timer->minutes($flow, $pot, 1.0, null));
    }

    public function testRestingTakesAsLongForManyAsForFew(): void
    {
        self::assertSame($this->minutes('milk-solids-balls', 'rest', 0.5, null), $this->minutes('milk-solids-balls', 'rest', 3.0, null));
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

    public function testABasinOfWaterCoolsFarFasterThanAir(): void
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

    private function minutes(string $recipe, string $step, float $factor, ?Burner $burner): int
    {
        [$flow, $pot] = $this->step($recipe, $step, $factor);
        $minutes = $this->timer->minutes($flow, $pot, $factor, $burner);
        self::assertNotNull($minutes);

        return $minutes->likely;
    }

    /** @return array{StepFlow, PotChoice} in one batch, in the pot that is chosen for it */
    private function step(string $recipe, string $step, float $factor): array
    {
        $plan = (new PotChooser(Shipped::kitchen(), Shipped::larder()))->plan(Shipped::recipe($recipe), static fn (): float => $factor);
        self::assertSame(1, $plan->batches);

        return [$plan->ledger->flow($step), $plan->potOfStep()[$step]];
    }

    private function gas(float $kilowatts): Burner
    {
        return new Burner('b', 'ring', Fuel::Gas, $kilowatts, 110);
    }
}
