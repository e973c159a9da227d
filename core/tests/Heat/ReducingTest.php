<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Heat;

use FeastLadle\Heat\Climate;
use FeastLadle\Heat\OpenPot;
use FeastLadle\Heat\Reducing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Reducing below the boil; expected values reckoned by hand from the law before the code stood. */
final class ReducingTest extends TestCase
{
    /** 36 cm across. */
    private const SURFACE = 0.101788;

    public function testAThickMassOnALittleHeatReducesBelowTheBoil(): void
    {
        $climate = Climate::usual();
        self::assertEqualsWithDelta(97.5, Reducing::settlesAt(0.48, self::SURFACE, OpenPot::UNDER_SKIN, $climate), 0.1);
        self::assertEqualsWithDelta(0.0108, Reducing::kgPerMinute(0.48, self::SURFACE, OpenPot::UNDER_SKIN, $climate), 0.0001);
        self::assertEqualsWithDelta(92, 1 / Reducing::kgPerMinute(0.48, self::SURFACE, OpenPot::UNDER_SKIN, $climate), 1);
    }

    public function testWhatComesToTheBoilLosesAllButWhatTheAirTakes(): void
    {
        // (1.0 − 0.010 · 72 · 0.101788) / 2257 a second
        self::assertEqualsWithDelta(
            0.024636,
            Reducing::kgPerMinute(1.0, self::SURFACE, OpenPot::UNDER_SKIN, Climate::usual()),
            0.00005,
        );
        self::assertEqualsWithDelta(100.0, Reducing::settlesAt(1.0, self::SURFACE, OpenPot::UNDER_SKIN, Climate::usual()), 0.01);
        $onTheHill = new Climate(20, 0.6, 1500);
        self::assertEqualsWithDelta(95.0, Reducing::settlesAt(5.0, self::SURFACE, OpenPot::UNCOVERED, $onTheHill), 0.1);
    }

    /** @return iterable<string, array{float, float}> kW, openness */
    public static function fires(): iterable
    {
        yield 'a spirit lamp, open' => [0.05, OpenPot::UNCOVERED];
        yield 'low, under skin' => [0.2, OpenPot::UNDER_SKIN];
        yield 'medium, open' => [0.7, OpenPot::UNCOVERED];
    }

    /** Where it settles, the surface loses just what the fire gives; the formula is written out here once more. */
    #[DataProvider('fires')]
    public function testWhereItSettlesTheSurfaceLosesWhatTheFireGives(float $netKw, float $openness): void
    {
        $celsius = Reducing::settlesAt($netKw, self::SURFACE, $openness, Climate::usual());
        $kpa = static fn (float $t): float => 133.322 * 10 ** (8.07131 - 1730.63 / (233.426 + $t)) / 1000;
        $loss = $openness * 0.089 * ($kpa($celsius) - 0.6 * $kpa(28)) + 0.010 * ($celsius - 28);
        self::assertEqualsWithDelta($netKw, $loss * self::SURFACE, 0.0005);
        self::assertGreaterThan(28, $celsius);
        self::assertLessThan(100, $celsius);
    }

    public function testWithoutAFireItIsAsWarmAsTheRoom(): void
    {
        self::assertSame(28.0, Reducing::settlesAt(0.0, self::SURFACE, OpenPot::UNCOVERED, Climate::usual()));
    }

    public function testMoreHeatNeverReducesMoreSlowly(): void
    {
        $before = 0.0;
        for ($net = 0.02; $net < 1.5; $net += 0.02) {
            $rate = Reducing::kgPerMinute($net, self::SURFACE, OpenPot::UNDER_SKIN, Climate::usual());
            self::assertGreaterThanOrEqual($before, $rate, (string) $net);
            $before = $rate;
        }
    }
}
