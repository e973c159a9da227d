<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Explaining;

use FeastLadle\Explaining\MeasuredSigns;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** A judgement by hand or eye becomes one that anybody can read off, with the figures of this pot. */
final class MeasuredSignsTest extends TestCase
{
    public function testAStringIsAFewDegreesAboveBoilingWaterHere(): void
    {
        // The syrup of the balls is cooked until tacky: 1.5 to 3 K above the boil of this place.
        $boil = Shipped::kitchen()->climate->boilingCelsius();
        $sign = $this->signs('balls/1/syrup')[0];
        self::assertEqualsWithDelta($boil + 1.5, $sign->values['low'], 0.06);
        self::assertEqualsWithDelta($boil + 3.0, $sign->values['high'], 0.06);
    }

    public function testReducingIsReadOffAStickInThisPot(): void
    {
        // Straight walls: half the volume is half the depth, but for what hot milk swells.
        $sign = $this->signs('basundi/1/reduce')[0];
        self::assertIsFloat($sign->values['from']);
        self::assertEqualsWithDelta(0.5 * $sign->values['from'], $sign->values['to'], 0.03 * $sign->values['from']);
        $flow = self::step('basundi/1/reduce')->dish->batchPlan->ledger->flow('reduce');
        $pot = Shipped::kitchen()->vessels['tall-pot']->shape;
        self::assertEqualsWithDelta($pot->depthMm($flow->taken->volumeMl(Shipped::larder())), $sign->values['from'], 6.0);
    }

    public function testWhatHasNoFigureIsNotGivenOne(): void
    {
        self::assertSame([], $this->signs('balls/1/dough'));
    }

    /** @return list<\FeastLadle\Words\Sentence> */
    private function signs(string $id): array
    {
        return (new MeasuredSigns(Shipped::larder(), Shipped::kitchen()))->of(self::step($id));
    }

    private static function step(string $id): PlannedStep
    {
        foreach ((new FeastPlanner(Shipped::larder()))->plan(Shipped::feast(), Shipped::kitchen())->steps as $step) {
            if ($step->key->id() === $id) {
                return $step;
            }
        }
        self::fail($id);
    }
}
