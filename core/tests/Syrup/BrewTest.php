<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Syrup;

use FeastLadle\Syrup\Brew;
use FeastLadle\Syrup\Density;
use FeastLadle\Syrup\Graining;
use FeastLadle\Syrup\Stage;
use FeastLadle\Syrup\Sweetener;
use FeastLadle\Syrup\WaterActivity;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BrewTest extends TestCase
{
    public function testAWeighedLadleGivesTheStrengthBackAtAnyTemperature(): void
    {
        for ($percent = 1.0; $percent < 100; $percent += 7.3) {
            foreach ([4.0, 20.0, 60.0, 105.0] as $celsius) {
                self::assertEqualsWithDelta($percent, Density::sugarPercent(Density::gramsPerMl($percent, $celsius), $celsius), 1e-6);
            }
        }
        $this->expectException(\DomainException::class);
        Density::sugarPercent(0.5);
    }

    public function testTheFurtherTheStageTheMoreMustGoAndTheLongerItTakes(): void
    {
        $brew = new Brew(Sweetener::Sugar, 2000, 1300);
        $former = [-1.0, -1.0];
        foreach (Stage::cases() as $stage) {
            $off = $brew->waterOffGrams($stage->aimRise());
            if ($off < 0) {
                // It is past that stage before it boils.
                self::assertSame(0.0, $brew->minutes($stage->aimRise(), 0.5));
                continue;
            }
            self::assertGreaterThan($former[0], $off, $stage->value);
            self::assertGreaterThan($former[1], $brew->minutes($stage->aimRise(), 0.5), $stage->value);
            $former = [$off, $brew->minutes($stage->aimRise(), 0.5) ?? 0.0];
        }
        self::assertNull($brew->minutes(5.0, 0.0));
    }

    public function testJaggeryIsPartWaterAndRisesFurther(): void
    {
        $sugar = new Brew(Sweetener::Sugar, 1000, 500);
        $jaggery = new Brew(Sweetener::Jaggery, 1000, 500);
        self::assertLessThan($sugar->startPercent(), $jaggery->startPercent());
        self::assertLessThan($sugar->percentAt(5.0), $jaggery->percentAt(5.0));
    }

    public function testWaterBackMakesUpJustWhatWentTooFar(): void
    {
        $brew = new Brew(Sweetener::Sugar, 2000, 1300);
        self::assertEqualsWithDelta($brew->waterLeftGrams(5.0), $brew->waterLeftGrams(9.0) + $brew->waterBackGrams(9.0, 5.0), 1e-9);
        self::assertSame(0.0, $brew->waterBackGrams(4.0, 5.0));
    }

    /** @return iterable<string, array{float, bool}> */
    public static function strengths(): iterable
    {
        yield 'a dunking syrup stays clear' => [60.0, false];
        yield 'one string grains when cold' => [68.0, true];
    }

    #[DataProvider('strengths')]
    public function testAStrongSyrupGrainsInTheCold(float $percent, bool $grains): void
    {
        self::assertSame($grains, Graining::grains($percent, 20));
        self::assertFalse(Graining::grains($percent, 90));
        self::assertGreaterThan(WaterActivity::of($percent + 10), WaterActivity::of($percent));
    }
}
