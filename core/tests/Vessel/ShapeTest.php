<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Vessel;

use FeastLadle\Vessel\BowlShape;
use FeastLadle\Vessel\Shape;
use FeastLadle\Vessel\StraightShape;
use FeastLadle\Vessel\TaperedShape;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class ShapeTest extends TestCase
{
    public function testARoundBottomedPanOf45CmHolds12Point57Litres(): void
    {
        $bowl = new BowlShape(225, 140);
        self::assertEqualsWithDelta(12_570, $bowl->brimfulMl(), 5);
        self::assertEqualsWithDelta(75.1, $bowl->depthMm(4000), 0.05);
        self::assertEqualsWithDelta(0.1006, $bowl->surfaceM2($bowl->depthMm(4000)), 0.0001);
    }

    public function testATaperedPotHolds13Point34Litres(): void
    {
        $pot = new TaperedShape(120, 170, 200);
        self::assertEqualsWithDelta(13_340, $pot->brimfulMl(), 5);
        self::assertEqualsWithDelta(5530, $pot->volumeMl(100), 5);
    }

    public function testARimEqualToTheBaseIsAStraightPot(): void
    {
        self::assertEqualsWithDelta(StraightShape::round(240, 200)->brimfulMl(), (new TaperedShape(120, 120, 200))->brimfulMl(), 1e-6);
    }

    public function testARimSmallerThanTheBaseIsFine(): void
    {
        $jar = new TaperedShape(100, 60, 180);
        self::assertGreaterThan(0, $jar->brimfulMl());
        self::assertEqualsWithDelta(90, $jar->depthMm($jar->volumeMl(90)), 1e-6);
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 20; ++$seed) {
            yield "seed $seed" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function testDepthAndVolumeUndoEachOther(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $size = static fn (int $from, int $to): float => $random->getInt($from * 10, $to * 10) / 10;
        /** @var list<Shape> $shapes */
        $shapes = [
            StraightShape::round($size(50, 900), $height = $size(20, 600)),
            StraightShape::rectangular($size(50, 900), $size(50, 900), $height),
            new TaperedShape($size(30, 400), $size(30, 400), $height),
            new BowlShape($size(80, 400), $size(30, 80)),
        ];
        foreach ($shapes as $shape) {
            $depth = $size(1, 19);
            self::assertEqualsWithDelta($depth, $shape->depthMm($shape->volumeMl($depth)), 1e-6, "seed $seed, ".$shape::class);
            self::assertSame($shape->heightMm(), $shape->depthMm(2 * $shape->brimfulMl()));
            self::assertEqualsWithDelta(0.0, $shape->depthMm(0), 1e-9);
        }
    }
}
