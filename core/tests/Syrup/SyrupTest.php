<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Syrup;

use FeastLadle\Heat\BoilingPoint;
use FeastLadle\Syrup\Stage;
use FeastLadle\Syrup\SugarRise;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SyrupTest extends TestCase
{
    /** @return iterable<array{float, float}> */
    public static function heights(): iterable
    {
        yield [0, 100.0];
        yield [500, 98.3];
        yield [1500, 95.0];
        yield [2400, 92.0];
    }

    #[DataProvider('heights')]
    public function testWaterBoilsLowerUpTheHill(float $metres, float $celsius): void
    {
        self::assertEqualsWithDelta($celsius, BoilingPoint::ofWaterCelsius($metres), 0.06);
    }

    public function testHeightsOutsideTheLawAreRefusedWithTheLimit(): void
    {
        $this->expectExceptionMessage('An altitude of 6001 m is outside -450 to 6000 m.');
        BoilingPoint::ofWaterCelsius(6001);
    }

    public function testTwoKilosOfSugarToOneStringKeep991GramsOfWater(): void
    {
        self::assertEqualsWithDelta(66.9, SugarRise::sugarPercent(5.0), 0.05);
        self::assertEqualsWithDelta(991, SugarRise::waterLeftGrams(2000, 5.0), 3);
        self::assertEqualsWithDelta(646, SugarRise::waterLeftGrams(2000, 9.0), 2);
    }

    public function testShareAndRiseUndoEachOther(): void
    {
        for ($percent = 1; $percent < 100; ++$percent) {
            self::assertEqualsWithDelta($percent, SugarRise::sugarPercent(SugarRise::kelvin($percent)), 1e-9);
        }
    }

    public function testOneStringAt1500MetresIsReadAt100Degrees(): void
    {
        $boiling = BoilingPoint::ofWaterCelsius(1500);
        self::assertEqualsWithDelta(100, $boiling + SugarRise::atBoilingPoint(5.0, $boiling), 0.2);
    }

    public function testStagesFollowEachOtherWithoutOverlap(): void
    {
        $upper = 0.0;
        foreach (Stage::cases() as $stage) {
            [$low, $high] = $stage->band();
            self::assertGreaterThanOrEqual($upper, $low, $stage->value);
            self::assertTrue($low <= $stage->aimRise() && $stage->aimRise() < $high, $stage->value);
            $upper = $high;
        }
    }
}
