<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Heat;

use FeastLadle\Heat\BoilingPoint;
use FeastLadle\Heat\BoilOff;
use FeastLadle\Heat\CarryOver;
use FeastLadle\Heat\Climate;
use FeastLadle\Heat\Cooling;
use FeastLadle\Heat\Evaporation;
use FeastLadle\Heat\Expansion;
use FeastLadle\Heat\Flame;
use FeastLadle\Heat\Frying;
use FeastLadle\Heat\Fuel;
use FeastLadle\Heat\FuelUse;
use FeastLadle\Heat\HeatCap;
use FeastLadle\Heat\Mixing;
use FeastLadle\Heat\OpenPot;
use FeastLadle\Heat\Roast;
use FeastLadle\Heat\SpecificHeat;
use FeastLadle\Heat\Steeping;
use FeastLadle\Heat\ThinAir;
use FeastLadle\Heat\WarmUp;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Every constant of the laws of heat, each side of every edge. The figures were worked out apart from the code, from the formulas as they
 * are written down: a minute a slice for what steeps, twenty-four slices for what warms. In a hundred thousand slices it would be 78.48,
 * 70.52 and 88.14 °C, and 60.61, 48.09 and 19.43 min.
 */
final class HeatByHandTest extends TestCase
{
    /** @return iterable<string, array{\Closure(): ?float, float, float}> what is worked out, what it must be, to within */
    public static function figures(): iterable
    {
        $air = new Climate(28, 0.6, 0);
        $dry = new Climate(25, 0.5, 0);
        yield 'steam at 20 °C' => [static fn () => BoilingPoint::vapourPressureKpa(20), 2.3296, 0.001];
        yield 'steam at 80 °C' => [static fn () => BoilingPoint::vapourPressureKpa(80), 47.267, 0.005];
        yield 'steam at the boil is the air at the sea' => [static fn () => BoilingPoint::vapourPressureKpa(100), 101.336, 0.01];
        yield 'open pot, 80 °C' => [static fn () => $air->openPot()->lossKwPerM2(80), 4.5254827, 0.000001];
        yield 'under its skin, damp' => [
            static fn () => (new OpenPot(30, 0.8))->lossKwPerM2(90, OpenPot::UNDER_SKIN),
            3.5656687,
            0.000001,
        ];
        yield 'lid on, at the boil' => [static fn () => $air->openPot()->lossKwPerM2(100, OpenPot::LID_ON), 1.6017649, 0.000001];
        yield 'a lid that is ajar' => [static fn () => OpenPot::LID_AJAR, 0.4, 0.0];
        yield 'open, 80 °C, 0.1 m², an hour' => [
            static fn () => Evaporation::kgPerHour(80, 0.1, 1.0, $air),
            0.6245014,
            0.000001,
        ];
        yield 'ajar, 60 °C, 0.05 m²' => [
            static fn () => Evaporation::kgPerHour(60, 0.05, 0.4, new Climate(30, 0.5, 0)),
            0.0482687,
            0.0000001,
        ];
        yield 'covered at the boil, 1 m²' => [static fn () => Evaporation::kgPerHour(100, 1, 0.1, $air), 1.40396, 0.000001];
        yield 'colder than the room nothing dries' => [
            static fn () => Evaporation::kgPerHour(5, 1, 1, new Climate(35, 1.0, 0)),
            0.0,
            0.0,
        ];
        yield 'steeping an hour, 20 kJ/K' => [
            static fn () => Steeping::celsiusAfter(60, 20, 100, 0.05, 0.1, $air),
            78.40842,
            0.00001,
        ];
        yield 'steeping a small pot' => [
            static fn () => Steeping::celsiusAfter(30, 4, 95, 0.02, 0.06, $dry),
            70.357893,
            0.00001,
        ];
        yield 'steeping, the wall alone' => [
            static fn () => Steeping::celsiusAfter(60, 20, 100, 0.0, 0.1, $air),
            88.1231872,
            0.00001,
        ];
        yield 'steeping for less than a minute' => [
            static fn () => Steeping::celsiusAfter(0.5, 2, 95, 0.0, 0.06, $dry),
            94.37,
            0.001,
        ];
        yield 'warming 10 l of milk, open' => [
            static fn () => WarmUp::minutes(43.05, 8, 100, 1.425, 0.101788, $air->openPot()),
            60.5414136,
            0.00001,
        ];
        yield 'the same under a lid' => [
            static fn () => WarmUp::minutes(43.05, 8, 100, 1.425, 0.101788, $air->openPot(), 0.1),
            48.08707,
            0.00001,
        ];
        yield 'warming a little' => [
            static fn () => WarmUp::minutes(10, 20, 96, 0.8, 0.05, $air->openPot()),
            19.4204742,
            0.00001,
        ];
        yield 'warming without loss' => [static fn () => WarmUp::minutes(6, 20, 100, 0.5, 0.3, null), 16.0, 1e-9];
        yield 'half an hour of gas' => [static fn () => FuelUse::amount(Fuel::Gas, 3, 1, 60), 0.234783, 1e-6];
        yield 'wood at half' => [static fn () => FuelUse::amount(Fuel::Wood, 20, 0.5, 30), 1.2, 1e-9];
        yield 'current at a quarter' => [static fn () => FuelUse::amount(Fuel::Induction, 2, 0.25, 90), 0.75, 1e-9];
        yield 'ice for five kilos of milk' => [static fn () => Cooling::iceKg(5, 3.9, 70, 10), 3.11336, 1e-5];
        yield 'no ice for what is cold' => [static fn () => Cooling::iceKg(5, 3.9, 8, 10), 0.0, 0.0];
        yield 'a slab on a tray' => [static fn () => Cooling::slabTauMinutes(1250, 2.5, 0.011, 0.011, 0.35), 63.294, 0.001];
        yield 'the same by the general law' => [
            static fn () => Cooling::tauMinutes(1250, 2.5, 0.011, 10, 0.011, 3, 0.35),
            63.294,
            0.001,
        ];
        yield 'a ball before a fan' => [
            static fn () => Cooling::tauMinutes(1100, 3.2, 0.008, 25, 0.024, 5, 0.55),
            22.8693,
            0.0005,
        ];
        yield 'thin liquid has no inside' => [static fn () => Cooling::tauMinutes(1000, 4, 0.03, 10), 200.0, 1e-9];
        yield 'a pot of milk' => [static fn () => Cooling::liquidTauMinutes(10, 3.9, 0.3), 216.667, 0.001];
        yield 'down to body heat' => [static fn () => Cooling::minutes(100, 95, 37, 25), 176.359, 0.001];
        yield 'a kilo boiled away' => [static fn () => BoilOff::minutes(1, 1), 37.6167, 0.0001];
        yield 'a roast of half a kilo' => [static fn () => Roast::energyKj(0.5, 0.05, 0.1, 28), 219.81, 0.001];
        yield 'browning at its least' => [static fn () => Roast::browningMinutes(16, 1000, 0.5), 4.0, 1e-9];
        yield 'browning by difference' => [static fn () => Roast::browningMinutes(16, 120, 0.5), 12.0, 1e-9];
        yield 'hot water stands higher' => [static fn () => Expansion::volumeMl(960, 100), 1000.0, 1e-9];
        yield 'cold water lower' => [static fn () => Expansion::volumeMl(1000, 0), 990.099, 0.001];
        yield 'and as it is at 20 °C' => [static fn () => Expansion::densityShare(20), 1.0, 0.0];
        yield 'grain at 95 °C' => [static fn () => ThinAir::factor(95), 1.41421, 1e-5];
        yield 'grain at 92 °C' => [static fn () => ThinAir::factor(92), 1.7411, 1e-4];
        yield 'grain at the sea' => [static fn () => ThinAir::factor(100), 1.0, 0.0];
        yield 'syrup of 60 % at 100 °C' => [static fn () => SpecificHeat::syrup(60, 100), 3.131, 1e-9];
        yield 'fat at 100 °C' => [static fn () => SpecificHeat::fat(100), 2.23, 1e-9];
        yield 'an iron pan off the fire' => [static fn () => CarryOver::seconds(4, 0.46, 50, 0.5), 184.0, 1e-9];
        yield 'no fire, no seconds' => [static fn () => CarryOver::seconds(4, 0.46, 50, 0.0), 0.0, 0.0];
        yield 'hot into cold' => [
            static fn () => Mixing::celsius([['kj' => 4.0, 'celsius' => 90.0], ['kj' => 1.0, 'celsius' => 20.0]]),
            76.0,
            1e-9,
        ];
        yield 'pieces of 25 g' => [static fn () => Frying::heatKj(43, 0.025, 25, 0.12), 501.853, 0.001];
        yield 'and until it is hot again' => [static fn () => Frying::recoveryMinutes(493, 0.9, 8), 1.12963, 1e-4];
    }

    /** @param \Closure(): ?float $is */
    #[DataProvider('figures')]
    public function testAFigureWorkedOutByHand(\Closure $is, float $must, float $within): void
    {
        self::assertEqualsWithDelta($must, $is(), $within);
    }

    public function testAFlameAndAFuelHaveTheirShares(): void
    {
        self::assertSame([0.0, 0.25, 0.5, 1.0], array_map(static fn (Flame $f): float => $f->share(), Flame::cases()));
        self::assertSame([0.45, 0.85, 0.2], array_map(static fn (Fuel $f): float => $f->efficiency(), Fuel::cases()));
        self::assertSame(['kg', 'kWh', 'kg'], array_map(FuelUse::unit(...), Fuel::cases()));
    }

    public function testWhatTheFoodStandsAtTheBase(): void
    {
        self::assertSame(
            [14.0, 10.0, 6.0, 10.0, 6.0, 12.0, 30.0, \INF],
            array_map(static fn (HeatCap $c): float => $c->kwPerM2(), HeatCap::cases()),
        );
        self::assertSame(HeatCap::Milk, HeatCap::ofMilk(0.2499));
        self::assertSame(HeatCap::ThickMilk, HeatCap::ofMilk(0.25));
        self::assertSame(HeatCap::ThickMilk, HeatCap::ofMilk(0.3799));
        self::assertSame(HeatCap::MilkMass, HeatCap::ofMilk(0.38));
        self::assertSame(
            [HeatCap::Syrup, HeatCap::Water],
            array_values(array_filter(HeatCap::cases(), static fn (HeatCap $c): bool => $c->maybeCovered())),
        );
        self::assertEqualsWithDelta(1.2, HeatCap::Roast->limit(5.0, 0.1), 1e-9);
    }

    /** Surface for twenty pieces, fat for twenty: whichever is less decides, and its edge is in. */
    public function testALoadOfPiecesIsWhatSurfaceAndFatAllow(): void
    {
        // 0.55 × 0.1 m² over 0.00275 m² are 20; 0.175 × 2 kg over 17.5 g are 20.
        self::assertSame(20, Frying::piecesPerLoad(0.1, 0.00275, 9.0, 0.0175));
        self::assertSame(20, Frying::piecesPerLoad(9.0, 0.00275, 2.0, 0.0175));
        self::assertSame(19, Frying::piecesPerLoad(0.0999, 0.00275, 9.0, 0.0175));
        self::assertSame(19, Frying::piecesPerLoad(9.0, 0.00275, 1.999, 0.0175));
        self::assertSame(1, Frying::piecesPerLoad(0.005, 0.00275, 1.0, 0.0175));
        self::assertSame(1, Frying::piecesPerLoad(1.0, 0.00275, 0.1, 0.0175));
        $this->expectExceptionMessage('A pan with 49 cm² of fat and 1.00 kg in it fries no piece of 18 g.');
        Frying::piecesPerLoad(0.0049, 0.00275, 1.0, 0.0175);
    }

    public function testEdgesOfWarmingAndCooling(): void
    {
        self::assertSame(0.0, WarmUp::minutes(10, 60, 60, 1, 0.1, null));
        self::assertNull(WarmUp::minutes(10, 20, 60, 0.0, 0.0, null));
        self::assertSame(0.0, Cooling::minutes(10, 40, 40, 28));
        self::assertNull(Cooling::minutes(10, 40, 28, 28));
        self::assertNotNull(Cooling::minutes(10, 40, 28.1, 28));
        self::assertNull(BoilOff::minutes(0.1, 0.0));
        BoilingPoint::ofWaterCelsius(-450);
        $this->expectExceptionMessage('An altitude of -451 m is outside -450 to 6000 m.');
        BoilingPoint::ofWaterCelsius(-451);
    }

    public function testHigherThanTheLawReachesIsRefusedWithTheLimit(): void
    {
        $this->expectExceptionMessage('An altitude of 6001 m is outside -450 to 6000 m.');
        BoilingPoint::ofWaterCelsius(6001);
    }
}
