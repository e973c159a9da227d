<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Heat;

use FeastLadle\Heat\BoilOff;
use FeastLadle\Heat\Burner;
use FeastLadle\Heat\Climate;
use FeastLadle\Heat\Cooling;
use FeastLadle\Heat\Flame;
use FeastLadle\Heat\Frying;
use FeastLadle\Heat\Fuel;
use FeastLadle\Heat\HeatCap;
use FeastLadle\Heat\Roast;
use FeastLadle\Heat\WarmUp;
use PHPUnit\Framework\TestCase;

/** The worked examples of the laws of heat. */
final class HeatTest extends TestCase
{
    public function testNetPowerIsRatingTimesEfficiencyTimesFlame(): void
    {
        self::assertEqualsWithDelta(0.394, (new Burner('b', 'ring', Fuel::Gas, 1.75, 80))->netKw(Flame::Medium), 0.001);
        self::assertSame(0.0, (new Burner('b', 'ring', Fuel::Gas, 1.75, 80))->netKw(Flame::None));
    }

    public function testMilkStandsFourteenKilowattsASquareMetre(): void
    {
        $base = \M_PI * 0.18 ** 2;
        self::assertEqualsWithDelta(1.425, HeatCap::Milk->limit(3.5 * 0.45, $base), 0.001);
        self::assertSame(3.0, HeatCap::Water->limit(3.0, $base));
    }

    public function testAnOpenPotLosesMoreTheHotterItIs(): void
    {
        $room = Climate::usual()->openPot();
        foreach ([60 => 1.9, 80 => 4.5, 90 => 6.7, 100 => 9.5] as $celsius => $loss) {
            self::assertEqualsWithDelta($loss, $room->lossKwPerM2($celsius), 0.1);
        }
    }

    public function testTenLitresOfMilkTakeThreeQuartersOfAnHourWithoutLossAndAboutAnHourOpen(): void
    {
        $capacity = 10.3 * 3.9 + 3.2 * 0.9;
        $surface = \M_PI * 0.18 ** 2;
        self::assertEqualsWithDelta(46, WarmUp::minutes($capacity, 8, 100, 1.425, $surface, null), 1);
        self::assertEqualsWithDelta(60, WarmUp::minutes($capacity, 8, 100, 1.425, $surface, Climate::usual()->openPot()), 6);
    }

    public function testAPotThatLosesMoreThanItsFlameGivesNeverBoils(): void
    {
        self::assertNull(WarmUp::minutes(40, 20, 100, 0.5, 0.1, Climate::usual()->openPot()));
        self::assertSame(0.0, WarmUp::minutes(40, 100, 100, 0.5, 0.1, Climate::usual()->openPot()));
    }

    public function testBoilingHalfAwayTakesTwoHoursAndTwelveMinutes(): void
    {
        self::assertEqualsWithDelta(132, BoilOff::minutes(4.99, 1.425), 0.5);
        self::assertSame(0.0, BoilOff::minutes(0, 0));
        self::assertNull(BoilOff::minutes(1, 0));
    }

    public function testARoastGrowsWithTheLoadNotWithTheGuests(): void
    {
        $half = Roast::energyKj(0.5, 0.0, 0.10, 28);
        $brown = Roast::browningMinutes(16, $half, 0.394);
        self::assertEqualsWithDelta(7.2, $brown, 0.2);
        $eight = 8 * $half;
        self::assertEqualsWithDelta(22.6, $brown + $eight / 1.8 / 60, 0.3);
        self::assertEqualsWithDelta(38, $brown + $eight / 0.9 / 60, 0.5);
    }

    public function testASlabOfFudgeOnARackCoolsInAboutTwoHours(): void
    {
        $tau = Cooling::slabTauMinutes(1250, 2.5, 0.011, 0.011, 0.35);
        self::assertEqualsWithDelta(122, Cooling::minutes($tau, 110, 40, 28), 2);
    }

    public function testNothingCoolsBelowWhatSurroundsIt(): void
    {
        self::assertNull(Cooling::minutes(60, 95, 28, 28));
        self::assertSame(0.0, Cooling::minutes(60, 30, 40, 28));
    }

    public function testALoadOfFortyThreePiecesChillsTheFat(): void
    {
        $heat = Frying::heatKj(43, 0.025, 25, 0.12);
        // 43 pieces of 25 g: 493 kJ, and 68 s until the fat is hot again.
        self::assertEqualsWithDelta(493, $heat, 20);
        self::assertEqualsWithDelta(68, 60 * Frying::recoveryMinutes(493, 0.9, 8), 1);
        self::assertSame(0.0, Frying::recoveryMinutes(10, 0.9, 8));
    }

    public function testAPanTooSmallForOnePieceIsRefused(): void
    {
        $this->expectException(\DomainException::class);
        Frying::piecesPerLoad(0.001, 0.01, 1, 0.02);
    }
}
