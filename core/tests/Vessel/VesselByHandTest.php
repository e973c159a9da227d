<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Vessel;

use FeastLadle\Heat\Fuel;
use FeastLadle\Vessel\BowlShape;
use FeastLadle\Vessel\Dipstick;
use FeastLadle\Vessel\FillLimit;
use FeastLadle\Vessel\FillLimits;
use FeastLadle\Vessel\Lifting;
use FeastLadle\Vessel\Metal;
use FeastLadle\Vessel\Shape;
use FeastLadle\Vessel\StraightShape;
use FeastLadle\Vessel\TaperedShape;
use FeastLadle\Vessel\VesselKind;
use PHPUnit\Framework\TestCase;

/** Every figure that belongs to a vessel, and each side of every edge. */
final class VesselByHandTest extends TestCase
{
    public function testHowFullItMayBe(): void
    {
        $shares = [
            'rest' => 0.85,
            'syrup' => 0.5,
            'milk-or-starch-boil' => 0.6,
            'stiff-stirred' => 0.6,
            'deep-fat' => 0.45,
            'frothing-fat' => 0.35,
            'hot-onto-hot' => 0.5,
            'pressure' => 0.66,
            'frothing-pressure' => 0.5,
            'soaking' => 0.75,
        ];
        foreach (FillLimit::cases() as $limit) {
            self::assertSame($shares[$limit->value], $limit->share(), $limit->value);
            self::assertSame($shares[$limit->value], (new FillLimits())->share($limit));
            self::assertSame(0.4, (new FillLimits([$limit->value => 0.4]))->share($limit));
            self::assertNotSame('', $limit->reason());
        }
    }

    public function testMetalsAndKinds(): void
    {
        self::assertSame(
            [0.5, 0.9, 0.38, 0.38, 0.46, 0.9],
            array_map(static fn (Metal $m): float => $m->specificHeat(), Metal::cases()),
        );
        self::assertSame(
            ['pot', 'pan', 'cooker', 'steamer', 'griddle'],
            array_values(
                array_map(
                    static fn (VesselKind $k): string => $k->value,
                    array_filter(VesselKind::cases(), static fn (VesselKind $k): bool => $k->standsOnFire()),
                ),
            ),
        );
    }

    public function testARoundPan(): void
    {
        $pan = new BowlShape(225, 140);
        self::assertEqualsWithDelta(1838.907, $pan->volumeMl(50), 0.001);
        self::assertEqualsWithDelta(0.0709383, $pan->surfaceM2(50), 1e-7);
        // A flame wraps a round pan: all that is wet is heated, however small the ring.
        self::assertEqualsWithDelta(0.2206183, $pan->heatedBaseM2(140, 100, true), 1e-7);
        self::assertEqualsWithDelta(0.0315169, $pan->heatedBaseM2(20, 100, true), 1e-7);
        // Induction heats within its ring, but never more than is wet.
        self::assertEqualsWithDelta(0.0327749, $pan->heatedBaseM2(140, 100, false), 1e-6);
        self::assertEqualsWithDelta(0.0315169, $pan->heatedBaseM2(20, 100, false), 1e-7);
        self::assertEqualsWithDelta(0.2206183, $pan->heatedBaseM2(140, 900, false), 1e-7);
        self::assertSame(0.0, $pan->heatedBaseM2(0, 100, true));
        self::assertSame(
            [true, true, false],
            array_map(static fn (Fuel $f): bool => $f->wraps(), [Fuel::Gas, Fuel::Wood, Fuel::Induction]),
        );
        self::assertEqualsWithDelta(225.0, $pan->radiusMm(140), 1e-9);
    }

    public function testATaperedPot(): void
    {
        $pot = new TaperedShape(120, 170, 200);
        self::assertEqualsWithDelta(5531.821, $pot->volumeMl(100), 0.001);
        self::assertSame([120.0, 120.0, 170.0], [$pot->radiusMm(-3), $pot->radiusMm(0), $pot->radiusMm(230)]);
        self::assertEqualsWithDelta(145.0, $pot->radiusMm(100), 1e-9);
        self::assertEqualsWithDelta(0.066052, $pot->surfaceM2(100), 1e-7);
        self::assertEqualsWithDelta(0.0452389, $pot->heatedBaseM2(100, 300, true), 1e-7);
    }

    public function testNothingStandsBelowTheBottomOrAboveTheRim(): void
    {
        /** @var list<Shape> $shapes */
        $shapes = [new BowlShape(225, 140), new TaperedShape(120, 170, 140), StraightShape::round(240, 140)];
        foreach ($shapes as $shape) {
            self::assertSame(0.0, $shape->volumeMl(-5));
            self::assertEqualsWithDelta($shape->surfaceM2(0), $shape->surfaceM2(-5), 1e-12);
            self::assertEqualsWithDelta($shape->surfaceM2(140), $shape->surfaceM2(170), 1e-12);
            self::assertSame($shape->brimfulMl(), $shape->volumeMl(170));
            self::assertSame(140.0, $shape->depthMm($shape->brimfulMl()));
            self::assertSame(0.0, $shape->depthMm(0.0));
            self::assertSame(0.0, $shape->depthMm(-1.0));
        }
    }

    public function testAStickIsMarkedForTheHeatItIsReadAt(): void
    {
        // 8 l in a pot of 10 l: a mark a litre, ten of them; cold the fourth stands at 4/10 of the height.
        $pot = StraightShape::rectangular(200, 250, 200);
        $marks = Dipstick::marks($pot);
        self::assertSame([1.0, 2.0, 3.0, 4.0, 5.0, 6.0, 7.0, 8.0, 9.0, 10.0], array_column($marks, 'litres'));
        self::assertEqualsWithDelta(80.0, $marks[3]['depthMm'], 1e-6);
        // At 100 °C it stands 1/0.96 as high, and the tenth litre is over the brim.
        $hot = Dipstick::marks($pot, 100.0);
        self::assertCount(9, $hot);
        self::assertEqualsWithDelta(83.333, $hot[3]['depthMm'], 0.001);
        self::assertEqualsWithDelta(60.0, Dipstick::depthMm($pot, 4000, 20, 1000), 1e-6);
        self::assertSame(0.0, Dipstick::depthMm($pot, 900, 20, 1000));
        // About twelve, never more than fourteen: 14 l go by the litre, 15 l by two.
        self::assertCount(14, Dipstick::marks(StraightShape::rectangular(200, 350, 200)));
        self::assertSame(2.0, Dipstick::marks(StraightShape::rectangular(200, 375, 200))[0]['litres']);
        self::assertSame(0.1, Dipstick::marks(StraightShape::rectangular(100, 100, 100))[0]['litres']);
        self::assertSame(0.25, Dipstick::marks(StraightShape::rectangular(100, 200, 100))[0]['litres']);
        self::assertSame(0.5, Dipstick::marks(StraightShape::rectangular(200, 200, 100))[0]['litres']);
        self::assertSame(5.0, Dipstick::marks(StraightShape::rectangular(500, 500, 200))[0]['litres']);
        self::assertSame(10.0, Dipstick::marks(StraightShape::rectangular(500, 500, 400))[0]['litres']);
        self::assertSame(20.0, Dipstick::marks(StraightShape::rectangular(1000, 1000, 200))[0]['litres']);
        self::assertSame(50.0, Dipstick::marks(StraightShape::rectangular(1000, 1000, 500))[0]['litres']);
        self::assertSame(100.0, Dipstick::marks(StraightShape::rectangular(1000, 1000, 1000))[0]['litres']);
    }

    public function testWhoLiftsABoilingPot(): void
    {
        self::assertSame(Lifting::One, Lifting::of(10.0, 20.0, true));
        self::assertSame(Lifting::Two, Lifting::of(10.01, 20.0, true));
        self::assertSame(Lifting::Two, Lifting::of(26.66));
        // Two thirds of 15 and 15 are 20, and that they still manage.
        self::assertSame(Lifting::Two, Lifting::of(20.0, 15.0));
        self::assertSame(Lifting::Ladle, Lifting::of(26.67));
    }
}
