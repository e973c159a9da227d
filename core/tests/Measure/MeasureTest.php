<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Measure;

use FeastLadle\Measure\AmountWriter;
use FeastLadle\Measure\Rounding;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class MeasureTest extends TestCase
{
    public function testRoundingKeepsAnyRatioWithinTwoPercent(): void
    {
        $random = new Randomizer(new Mt19937(4711));
        $rounding = new Rounding(1.0);
        for ($i = 0; $i < 2000; ++$i) {
            $a = $random->getInt(500, 9_000_000) / 10;
            $b = $random->getInt(500, 9_000_000) / 10;
            self::assertEqualsWithDelta(1.0, $rounding->grams($a) / $rounding->grams($b) / ($a / $b), 0.0205, "$a : $b");
        }
    }

    public function testRoundsToStepsAPersonReads(): void
    {
        $rounding = new Rounding(1.0);
        self::assertSame(1040.0, $rounding->grams(1034.2));
        self::assertSame(420.0, $rounding->grams(422.3));
        self::assertSame(12.0, $rounding->grams(12.4));
    }

    public function testAScaleOfFiveGramsNeverShowsThree(): void
    {
        self::assertSame(0.0, fmod((new Rounding(5.0))->grams(128), 5));
    }

    public function testWhatTheScaleCannotShowIsMeasuredBySpoonOrPinch(): void
    {
        $writer = new AmountWriter(240, 1);
        $larder = Shipped::larder();
        self::assertSame(
            '1¾ tsp',
            $writer->main($larder->get('cardamom'), $writer->measuredGrams($larder->get('cardamom'), 3.6))->text(),
        );
        self::assertSame(
            '1 × pinch',
            $writer->main($larder->get('saffron'), $writer->measuredGrams($larder->get('saffron'), 0.05))->text(),
        );
        self::assertSame('1.25 kg', $writer->main($larder->get('sugar'), 1250)->text());
    }

    public function testWhatIsSpoonedIsNotSaidTwice(): void
    {
        $writer = new AmountWriter(240, 1);
        $cardamom = Shipped::larder()->get('cardamom');
        self::assertSame(['1¼ tsp', null], [$writer->main($cardamom, 2.6)->text(), $writer->byCup($cardamom, 2.6)]);
    }

    public function testCupsAreTheKitchensOwn(): void
    {
        $sugar = Shipped::larder()->get('sugar');
        self::assertSame('2 cups', (new AmountWriter(240, 1))->byCup($sugar, 408)?->text());
        self::assertSame('2½ cups', (new AmountWriter(200, 1))->byCup($sugar, 425)?->text());
    }

    public function testDurationsAndVolumesCarryTheirUnits(): void
    {
        self::assertSame('99 min', AmountWriter::duration(99.4)->text());
        self::assertSame('1 h 40 min', AmountWriter::duration(100)->text());
        self::assertSame('2 h', AmountWriter::duration(120)->text());
        self::assertSame('4 days', AmountWriter::duration(5760)->text());
        self::assertSame('995 ml', AmountWriter::volume(993)->text());
        self::assertSame('1 l', AmountWriter::volume(1000)->text());
    }
}
