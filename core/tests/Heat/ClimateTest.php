<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Heat;

use FeastLadle\Heat\Burner;
use FeastLadle\Heat\Climate;
use FeastLadle\Heat\Fuel;
use FeastLadle\Vessel\Metal;
use FeastLadle\Vessel\StraightShape;
use FeastLadle\Vessel\Vessel;
use FeastLadle\Vessel\VesselKind;
use FeastLadle\Words\OutOfRange;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What documents and forms bring in can't be made wrong, whoever makes it. */
final class ClimateTest extends TestCase
{
    /** @return iterable<string, array{\Closure(float): object, float, float, string}> making, least, most, what */
    public static function limits(): iterable
    {
        $pot = StraightShape::round(300, 200);
        yield 'fire' => [static fn (float $v): object => new Burner('a', 'A', Fuel::Gas, $v, 90), 0.1, 100.0, 'burner, kW'];
        yield 'ring' => [static fn (float $v): object => new Burner('a', 'A', Fuel::Gas, 3, $v), 20.0, 1500.0, 'burner ring, mm'];
        yield 'vessel' => [
            static fn (float $v): object => new Vessel('a', 'A', VesselKind::Pot, $pot, Metal::Steel, $v), 0.05, 500.0, 'empty vessel, kg',
        ];
        yield 'room' => [static fn (float $v): object => new Climate($v, 0.6, 0), -5.0, 50.0, 'room, °C'];
        yield 'damp' => [static fn (float $v): object => new Climate(28, $v, 0), 0.05, 1.0, 'humidity, share'];
        yield 'height' => [static fn (float $v): object => new Climate(28, 0.6, $v), -450.0, 6000.0, 'altitude, m'];
    }

    /** @param \Closure(float): object $make */
    #[DataProvider('limits')]
    public function testAValueLiesBetweenItsLimits(\Closure $make, float $least, float $most, string $what): void
    {
        $make($least);
        $make($most);
        foreach ([$least - 0.001, $most + 0.001, \NAN, \INF, -\INF] as $wrong) {
            try {
                $make($wrong);
                self::fail("$what may not be $wrong");
            } catch (OutOfRange $refusal) {
                self::assertSame([$what, $least, $most], [$refusal->what, $refusal->least, $refusal->most]);
                self::assertStringContainsString($what, $refusal->getMessage());
            }
        }
    }

    public function testTheUsualAirIsThatOfAKitchenThatSaysNothing(): void
    {
        self::assertSame([28.0, 0.6, 0.0], [Climate::usual()->roomCelsius, Climate::usual()->humidity, Climate::usual()->altitudeM]);
        self::assertEqualsWithDelta(100.0, Climate::usual()->boilingCelsius(), 0.05);
        self::assertEqualsWithDelta(95.0, (new Climate(28, 0.6, 1500))->boilingCelsius(), 0.1);
    }
}
