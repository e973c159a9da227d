<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Flow;

use FeastLadle\Flow\Contents;
use FeastLadle\Larder\Larder;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/**
 * What stands in a pot, added up by hand. Milk is 0.875 water, 0.047 sugar, 0.035 fat and 0.971 ml/g; semolina 0.12, 0, 0.01, 0.68; split
 * chana takes 0.95 of its weight in the soak, 1.5 in all; sugar fills 0.62 ml/g, water 1.002.
 */
final class ContentsTest extends TestCase
{
    private Larder $larder;

    protected function setUp(): void
    {
        $this->larder = Shipped::larder();
    }

    public function testNothingIsNothing(): void
    {
        $nothing = Contents::nothing();
        self::assertSame([0.0, 0.0, 20.0, 0.0], [$nothing->massGrams(), $nothing->waterOff, $nothing->celsius, $nothing->pieces]);
        self::assertSame(0.0, $nothing->volumeMl($this->larder));
        self::assertSame(0.0, $nothing->heatCapacityKj($this->larder));
        self::assertSame(0.0, $nothing->fatGrams($this->larder));
        self::assertSame(0.0, $nothing->sugarGrams($this->larder));
        self::assertSame(0.0, $nothing->addedSugarGrams($this->larder));
        self::assertSame(0.0, $nothing->waterGrams($this->larder));
        self::assertSame(0.0, $nothing->heldWaterGrams($this->larder));
        self::assertFalse($nothing->isMilky($this->larder));
        // Nothing taken into nothing keeps its temperature.
        self::assertSame(20.0, $nothing->plus(Contents::nothing(), $this->larder)->celsius);
        self::assertSame(80.0, $this->of(['water' => 100.0], 80)->plus($nothing, $this->larder)->celsius);
    }

    public function testMilkWithSugarAddsUp(): void
    {
        $pot = $this->of(['milk' => 1000.0, 'sugar' => 200.0]);
        self::assertEqualsWithDelta(1200.0, $pot->massGrams(), 1e-9);
        self::assertEqualsWithDelta(971 + 124, $pot->volumeMl($this->larder), 1e-9);
        self::assertEqualsWithDelta(875.0, $pot->waterGrams($this->larder), 1e-9);
        self::assertEqualsWithDelta(247.0, $pot->sugarGrams($this->larder), 1e-9);
        self::assertEqualsWithDelta(200.0, $pot->addedSugarGrams($this->larder), 1e-9);
        self::assertEqualsWithDelta(35.0, $pot->fatGrams($this->larder), 1e-9);
        // 4.18 × 0.875 + 2.1 × 0.035 + 1.6 × 0.09 a kilo of milk; 1.6 a kilo of sugar.
        self::assertEqualsWithDelta(3.6575 + 0.0735 + 0.144 + 0.32, $pot->heatCapacityKj($this->larder), 1e-9);
        self::assertEqualsWithDelta(1 - 875 / 1200, $pot->solidsShare($this->larder), 1e-9);
        $less = $pot->withWaterOff(100.0)->withWaterOff(50.0);
        self::assertEqualsWithDelta(1050.0, $less->massGrams(), 1e-9);
        self::assertEqualsWithDelta(1095 - 150.3, $less->volumeMl($this->larder), 1e-9);
        self::assertEqualsWithDelta(725.0, $less->waterGrams($this->larder), 1e-9);
        self::assertEqualsWithDelta(4.195 - 0.627, $less->heatCapacityKj($this->larder), 1e-9);
        $third = $less->withPieces(9.0)->share(1 / 3);
        self::assertEqualsWithDelta(350.0, $third->massGrams(), 1e-9);
        self::assertEqualsWithDelta(50.0, $third->waterOff, 1e-9);
        self::assertEqualsWithDelta(3.0, $third->pieces, 1e-9);
        self::assertEqualsWithDelta(12.0, $third->plus($less->withPieces(9.0), $this->larder)->pieces, 1e-9);
        self::assertEqualsWithDelta(200.0, $third->plus($less, $this->larder)->waterOff, 1e-9);
    }

    public function testItStandsHigherWhenItIsHot(): void
    {
        $water = $this->of(['water' => 1000.0]);
        self::assertEqualsWithDelta(1002.0, $water->hotVolumeMl($this->larder, 20), 1e-9);
        self::assertEqualsWithDelta(1002.0, $water->hotVolumeMl($this->larder, 5), 1e-9);
        self::assertEqualsWithDelta(1002 / 0.96, $water->hotVolumeMl($this->larder, 100), 1e-9);
        self::assertEqualsWithDelta(250.0, $water->waterToVolumeShare(0.75, $this->larder), 1e-9);
    }

    public function testHeatMeetsByHeatCapacity(): void
    {
        // 4.18 at 90 and 0.8 at 20: (376.2 + 16)/4.98.
        $met = Contents::of('water', 1000, 90)->plus(Contents::of('sugar', 500, 20), $this->larder);
        self::assertEqualsWithDelta(78.755, $met->celsius, 0.001);
        self::assertEqualsWithDelta(1500.0, $met->massGrams(), 1e-9);
        self::assertEqualsWithDelta(1300.0, $met->plus($met, $this->larder)->share(0.4)->grams['water'] + 500, 1e-9);
    }

    public function testPulseHoldsWhatItDrankInTheSoakAndMoreOnceCooked(): void
    {
        // 300 g hold their own 30 g and 285 from the soak; cooked 450.
        $pulse = ['split-chana' => 300.0, 'water' => 700.0];
        self::assertEqualsWithDelta(315.0, $this->of($pulse, 30)->heldWaterGrams($this->larder), 1e-9);
        self::assertEqualsWithDelta(315.0, $this->of($pulse, 59.9)->heldWaterGrams($this->larder), 1e-9);
        self::assertEqualsWithDelta(480.0, $this->of($pulse, 60)->heldWaterGrams($this->larder), 1e-9);
        // Never more than there is.
        self::assertEqualsWithDelta(130.0, $this->of(['split-chana' => 300.0, 'water' => 100.0])->heldWaterGrams($this->larder), 1e-9);
        self::assertEqualsWithDelta(87.5, $this->of(['milk' => 100.0])->heldWaterGrams($this->larder), 1e-9);
        self::assertSame(0.0, $this->of(['water' => 100.0])->heldWaterGrams($this->larder));
    }

    public function testGrainThatHasWaterToCookIn(): void
    {
        // 900 g bring 108 of water: with 89.9 more it is just under a fifth of the whole, with 90.1 just over.
        self::assertFalse($this->of(['semolina' => 900.0, 'water' => 89.9])->holdsGrain($this->larder));
        self::assertTrue($this->of(['semolina' => 900.0, 'water' => 90.1])->holdsGrain($this->larder));
        // Just a fifth is not enough.
        self::assertFalse($this->of(['semolina' => 0.0, 'water' => 200.0, 'sugar' => 800.0])->holdsGrain($this->larder));
        self::assertFalse($this->of(['sugar' => 500.0, 'water' => 500.0])->holdsGrain($this->larder));
    }

    public function testMilkIsMilkFromATenthOn(): void
    {
        self::assertFalse($this->of(['milk' => 100.0, 'water' => 900.0])->isMilky($this->larder));
        self::assertTrue($this->of(['milk' => 100.1, 'water' => 899.9])->isMilky($this->larder));
        self::assertTrue($this->of(['coconut-milk-first' => 300.0, 'jaggery' => 700.0])->isMilky($this->larder));
        // Cream has too little water to count, sugared water no fat.
        self::assertFalse($this->of(['cream' => 900.0, 'sugar' => 100.0])->isMilky($this->larder));
        self::assertFalse($this->of(['water' => 900.0, 'sugar' => 100.0])->isMilky($this->larder));
        self::assertFalse($this->of(['ghee' => 10.0])->isMilky($this->larder));
        self::assertEqualsWithDelta(0.14, $this->of(['semolina' => 200.0, 'water' => 800.0])->starchShare($this->larder), 1e-9);
    }

    /** @param array<string, float> $grams */
    private function of(array $grams, float $celsius = 20.0): Contents
    {
        $contents = Contents::nothing();
        foreach ($grams as $id => $amount) {
            $contents = $contents->plus(Contents::of($id, $amount, $celsius), $this->larder);
        }

        return $contents->withCelsius($celsius);
    }
}
