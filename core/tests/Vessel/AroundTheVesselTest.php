<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Vessel;

use FeastLadle\Heat\Climate;
use FeastLadle\Heat\Fuel;
use FeastLadle\Heat\FuelUse;
use FeastLadle\Heat\Mixing;
use FeastLadle\Heat\Steeping;
use FeastLadle\Tests\Support\Shipped;
use FeastLadle\Vessel\BowlShape;
use FeastLadle\Vessel\Dipstick;
use FeastLadle\Vessel\Lifting;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Dipsticks, lifting, what a pot keeps of its heat. */
final class AroundTheVesselTest extends TestCase
{
    public function testMarksOfEveryPotRiseEvenlyInVolumeAndStayInside(): void
    {
        foreach ([...Shipped::temple()->vessels, ...Shipped::kitchen()->vessels] as $vessel) {
            $marks = Dipstick::marks($vessel->shape, 95.0);
            self::assertGreaterThanOrEqual(3, \count($marks), $vessel->name);
            self::assertLessThanOrEqual(15, \count($marks), $vessel->name);
            $former = 0.0;
            foreach ($marks as $mark) {
                self::assertGreaterThan($former, $mark['depthMm'], $vessel->name);
                self::assertLessThanOrEqual($vessel->shape->heightMm() + 1e-6, $mark['depthMm'], $vessel->name);
                $former = $mark['depthMm'];
            }
        }
    }

    public function testABowlKnownByItsBrimHoldsIt(): void
    {
        foreach ([50.0, 125.0, 225.0, 450.0] as $rim) {
            foreach ([0.3, 1.0, 1.9] as $share) {
                $wanted = $share * 2 / 3 * \M_PI * $rim ** 3 / 1000 / 2;
                self::assertEqualsWithDelta($wanted, BowlShape::fromBrimful($rim, $wanted)->brimfulMl(), 1e-6 * $wanted);
            }
        }
    }

    /** @return iterable<string, array{float, float, bool, Lifting}> */
    public static function loads(): iterable
    {
        yield 'at the limit' => [20.0, 20.0, false, Lifting::One];
        yield 'a little over' => [20.1, 20.0, false, Lifting::Two];
        yield 'two thirds of the sum' => [26.6, 20.0, false, Lifting::Two];
        yield 'more than two manage' => [26.7, 20.0, false, Lifting::Ladle];
        yield 'boiling, half of it' => [13.3, 20.0, true, Lifting::Two];
        yield 'boiling, more' => [13.4, 20.0, true, Lifting::Ladle];
        yield 'a stronger kitchen' => [24.0, 25.0, false, Lifting::One];
    }

    #[DataProvider('loads')]
    public function testWhoLiftsIt(float $kg, float $limit, bool $boiling, Lifting $who): void
    {
        self::assertSame($who, Lifting::of($kg, $limit, $boiling));
    }

    public function testACoveredPotCoolsTowardsTheRoomAndNeverBelow(): void
    {
        $former = 100.0;
        foreach ([10, 30, 60, 240, 2000] as $minutes) {
            $celsius = Steeping::celsiusAfter($minutes, 20, 100, 0.05, 0.1, Climate::usual());
            self::assertLessThan($former, $celsius);
            self::assertGreaterThan(27.0, $celsius);
            $former = $celsius;
        }
    }

    public function testThingsMeetBetweenTheirTemperatures(): void
    {
        $met = Mixing::celsius([['kj' => 4.0, 'celsius' => 90.0], ['kj' => 1.0, 'celsius' => 20.0], ['kj' => 0.5, 'celsius' => 150.0]]);
        self::assertGreaterThan(20.0, $met);
        self::assertLessThan(150.0, $met);
    }

    public function testAnHourOfEachFuel(): void
    {
        self::assertEqualsWithDelta(2.0, FuelUse::amount(Fuel::Induction, 2.0, 1.0, 60), 1e-9);
        self::assertEqualsWithDelta(4.8, FuelUse::amount(Fuel::Wood, 20.0, 1.0, 60), 1e-9);
        self::assertSame('kWh', FuelUse::unit(Fuel::Induction));
        self::assertSame(0.0, FuelUse::amount(Fuel::Gas, 3.0, 0.0, 60));
    }
}
