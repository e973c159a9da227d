<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Keeping;

use FeastLadle\Keeping\Thickening;
use FeastLadle\Keeping\TwoClocks;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class KeepingTest extends TestCase
{
    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 20; ++$seed) {
            yield "seed $seed" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function testMinutesNeverRunBackwardsNorFasterThanTheClock(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $readings = [];
        $minute = 0.0;
        $former = 0.0;
        for ($i = 0; $i < 12; ++$i) {
            $readings[] = ['minute' => $minute, 'celsius' => (float) $random->getInt(0, 95)];
            $counted = (new TwoClocks())->countedMinutes($readings);
            self::assertGreaterThanOrEqual(0.0, $counted);
            self::assertLessThanOrEqual($minute + 1e-6, $counted);
            // Reaching the cold in time may free a cooling; otherwise what was counted stays.
            if (end($readings)['celsius'] > 5) {
                self::assertGreaterThanOrEqual($former - 1e-6, $counted);
            }
            $former = $counted;
            $minute += $random->getInt(1, 90);
        }
    }

    public function testACoolingThatFailsItsSecondLegCountsWhole(): void
    {
        $clock = new TwoClocks();
        self::assertEqualsWithDelta(
            0.0,
            $clock->countedMinutes([
                ['minute' => 0, 'celsius' => 60],
                ['minute' => 110, 'celsius' => 21],
                ['minute' => 340, 'celsius' => 5],
            ]),
            1e-6,
        );
        self::assertEqualsWithDelta(
            360.0,
            $clock->countedMinutes([
                ['minute' => 0, 'celsius' => 60],
                ['minute' => 110, 'celsius' => 21],
                ['minute' => 360, 'celsius' => 5],
            ]),
            1e-6,
        );
    }

    public function testAnotherCodeHasOtherLevels(): void
    {
        $strict = new TwoClocks(hotCelsius: 63.0, coldCelsius: 8.0);
        $readings = [['minute' => 0, 'celsius' => 62.0], ['minute' => 30, 'celsius' => 62.0]];
        self::assertSame(30.0, $strict->countedMinutes($readings));
        self::assertSame(0.0, (new TwoClocks())->countedMinutes($readings));
    }

    public function testStarchDrinksMostAtFirstAndNeverMoreThanItCan(): void
    {
        $hour = Thickening::drunkGrams(1000, 60);
        self::assertGreaterThan(Thickening::drunkGrams(1000, 120) - $hour, $hour);
        self::assertLessThanOrEqual(1400.0, Thickening::drunkGrams(1000, 6000));
        self::assertSame(0.0, Thickening::drunkGrams(1000, 0));
    }
}
