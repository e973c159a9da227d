<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Syrup;

use FeastLadle\Syrup\Brew;
use FeastLadle\Syrup\Density;
use FeastLadle\Syrup\Graining;
use FeastLadle\Syrup\Stage;
use FeastLadle\Syrup\SugarRise;
use FeastLadle\Syrup\Sweetener;
use FeastLadle\Syrup\WaterActivity;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The tables of syrup, point by point, and brews worked out apart from the code (the climb in sixteen slices). */
final class SyrupByHandTest extends TestCase
{
    /** @return iterable<string, array{float, float}> sugar in %, rise in K */
    public static function points(): iterable
    {
        $table =
            '0 0, 20 0.5, 40 1.4, 50 2, 60 3.2, 65 4.4, 70 6, 75 8.6, 80 12, 85 16, 87 19, 90 23.5, 92 27, 95 37, 97 44, 99 52, 100 60';
        foreach (explode(', ', $table) as $point) {
            [$percent, $rise] = explode(' ', $point);
            yield "$percent %" => [(float) $percent, (float) $rise];
        }
        // Half way between two points.
        yield '10 %' => [10.0, 0.25];
        yield '72.5 %' => [72.5, 7.3];
        yield '99.5 %' => [99.5, 56.0];
    }

    #[DataProvider('points')]
    public function testSoFarAboveWaterItBoils(float $percent, float $rise): void
    {
        self::assertEqualsWithDelta($rise, SugarRise::kelvin($percent), 1e-9);
        self::assertEqualsWithDelta($percent, SugarRise::sugarPercent($rise), 1e-9);
    }

    public function testOutsideTheTableNothingIsGuessed(): void
    {
        foreach ([[-0.1, '-0.1 is outside 0 to 100.'], [100.1, '100.1 is outside 0 to 100.']] as [$percent, $says]) {
            try {
                SugarRise::kelvin($percent);
                self::fail("$percent % is no share.");
            } catch (\DomainException $refusal) {
                self::assertSame($says, $refusal->getMessage());
            }
        }
        $this->expectExceptionMessage('60.1 is outside 0 to 60.');
        SugarRise::sugarPercent(60.1);
    }

    public function testUpTheHillARiseIsSmaller(): void
    {
        // (368.15/373.15)² of it.
        self::assertEqualsWithDelta(4.8669, SugarRise::atBoilingPoint(5.0, 95.0), 0.0001);
        self::assertEqualsWithDelta(99.8669, Brew::celsius(5.0, 95.0), 0.0001);
    }

    public function testEveryStageHasItsBandAndItsAim(): void
    {
        $stages = [
            'just-clear' => [0.5, 1.5, 1.0],
            'tacky' => [1.5, 3.0, 2.25],
            'heavy' => [3.0, 4.5, 3.75],
            'one-string' => [4.5, 6.0, 5.0],
            'two-strings' => [7.0, 9.0, 8.0],
            'three-strings' => [10.0, 12.0, 11.0],
            'soft-ball' => [13.0, 16.0, 14.5],
            'firm-ball' => [18.0, 21.0, 19.5],
            'hard-ball' => [21.0, 30.0, 25.5],
            'soft-crack' => [32.0, 43.0, 37.5],
            'hard-crack' => [49.0, 54.0, 51.5],
        ];
        foreach (Stage::cases() as $stage) {
            self::assertSame($stages[$stage->value], [...$stage->band(), $stage->aimRise()], $stage->value);
        }
    }

    /** @return iterable<string, array{Brew, float, float, float, float, float}> brew, rise, kW, boil °C, water left g, minutes */
    public static function brews(): iterable
    {
        $sugar = new Brew(Sweetener::Sugar, 2000, 1300);
        yield 'one string' => [$sugar, 5.0, 0.9, 100.0, 990.654206, 13.225188];
        yield 'two strings at 92 °C' => [$sugar, 8.0, 0.9, 92.0, 708.333333, 25.48259];
        yield 'hard crack' => [$sugar, 51.5, 0.9, 100.0, 22.756005, 59.127038];
        yield 'jaggery to 9 K' => [new Brew(Sweetener::Jaggery, 1000, 400), 9.0, 0.6, 100.0, 336.906278, 7.420173];
    }

    #[DataProvider('brews')]
    public function testABrewWorkedOutByHand(Brew $brew, float $rise, float $kilowatts, float $boiling, float $left, float $minutes): void
    {
        self::assertEqualsWithDelta($left, $brew->waterLeftGrams($rise), 0.000001);
        self::assertEqualsWithDelta($brew->startWaterGrams() - $left, $brew->waterOffGrams($rise), 0.01);
        self::assertEqualsWithDelta($minutes, $brew->minutes($rise, $kilowatts, $boiling), 0.000001);
    }

    public function testWhatGoesIntoABrew(): void
    {
        $jaggery = new Brew(Sweetener::Jaggery, 1000, 400);
        self::assertEqualsWithDelta(935.0, $jaggery->solidsGrams(), 1e-9);
        self::assertEqualsWithDelta(450.0, $jaggery->startWaterGrams(), 1e-9);
        self::assertEqualsWithDelta(67.509, $jaggery->startPercent(), 0.001);
        self::assertEqualsWithDelta(SugarRise::sugarPercent(4.0), $jaggery->percentAt(4.6), 1e-9);
        $sugar = new Brew(Sweetener::Sugar, 1000, 400);
        self::assertSame([1000.0, 400.0], [$sugar->solidsGrams(), $sugar->startWaterGrams()]);
        // Half a gram has to go, and it takes its while.
        self::assertGreaterThan(0.0, (new Brew(Sweetener::Sugar, 500, 500.5))->minutes(2.0, 1.0));
        // Just as strong as it begins nothing has to go.
        self::assertSame(0.0, (new Brew(Sweetener::Sugar, 500, 500))->minutes(2.0, 1.0));
    }

    public function testAWeighedLadle(): void
    {
        foreach ([0 => 0.9982, 20 => 1.08094, 50 => 1.22827, 100 => 1.5625] as $percent => $density) {
            self::assertEqualsWithDelta($density, Density::gramsPerMl((float) $percent), 0.00001);
            self::assertEqualsWithDelta((float) $percent, Density::sugarPercent(Density::gramsPerMl((float) $percent)), 1e-6);
        }
        self::assertEqualsWithDelta(1.27358, Density::gramsPerMl(66.9, 100.0), 0.00001);
        foreach ([0.998, 1.563] as $wrong) {
            try {
                Density::sugarPercent($wrong);
                self::fail("$wrong g/ml is no syrup.");
            } catch (\DomainException $refusal) {
                self::assertSame("A density of $wrong g/ml is outside 0.998 to 1.562 at 20 °C.", $refusal->getMessage());
            }
        }
    }

    public function testWhatStaysDissolvedAndHowFreeTheWaterIs(): void
    {
        foreach ([0 => 64.397, 20 => 66.5977, 50 => 72.0354, 90 => 80.9973] as $celsius => $percent) {
            self::assertEqualsWithDelta($percent, Graining::mostPercent((float) $celsius), 0.0001);
        }
        self::assertFalse(Graining::grains(66.59, 20));
        self::assertTrue(Graining::grains(66.60, 20));
        foreach ([50 => 0.93476, 65 => 0.86542, 80 => 0.67928] as $percent => $free) {
            self::assertEqualsWithDelta($free, WaterActivity::of((float) $percent), 0.00001);
        }
    }

    public function testShareAndRiseUndoEachOther(): void
    {
        for ($percent = 1; $percent < 100; ++$percent) {
            self::assertEqualsWithDelta($percent, SugarRise::sugarPercent(SugarRise::kelvin($percent)), 1e-9);
        }
    }
}
