<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Timing;

use FeastLadle\Batch\PotChoice;
use FeastLadle\Batch\PotReason;
use FeastLadle\Flow\Ledger;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Flow\VesselRun;
use FeastLadle\Heat\Climate;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Tests\Support\Document;
use FeastLadle\Tests\Support\Shipped;
use FeastLadle\Timing\PressureTime;
use FeastLadle\Vessel\Metal;
use FeastLadle\Vessel\StraightShape;
use FeastLadle\Vessel\Vessel;
use FeastLadle\Vessel\VesselKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Minutes at pressure are those of what is in it, whatever the amount; then it falls. */
final class PressureTimeTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, float}> changes of the recipe, minutes at pressure */
    public static function contents(): iterable
    {
        yield 'soaked split pulse' => [[], 8.0];
        yield 'soaked whole pulse' => [['/steps/0/takes/0/ingredient' => 'whole-chana'], 14.0];
        yield 'jackfruit' => [['/steps/0/takes/0/ingredient' => 'jackfruit'], 6.0];
        yield 'by its releases where nothing is known' => [['/steps/0/takes/0/ingredient' => 'almonds'], 9.0];
    }

    /** @param array<string, mixed> $changes */
    #[DataProvider('contents')]
    public function testMinutesAreThoseOfWhatIsInIt(array $changes, float $minutes): void
    {
        foreach ([1.0, 12.0] as $factor) {
            self::assertSame($minutes, $this->law()->atPressure($this->flow($changes, $factor)));
        }
    }

    public function testUnsoakedWholePulseTakesTwoAndAHalfTimesAsLong(): void
    {
        // Rinsed only, 14 minutes become 35.
        $changes = ['/steps/0/takes/0/ingredient' => 'whole-chana', '/steps/0/process' => 'rinse'];
        self::assertSame(35.0, $this->law()->atPressure($this->flow($changes, 1.0)));
    }

    public function testThinAirCountsOnlyAboveTwoThousandMetres(): void
    {
        self::assertSame(8.0, $this->law(1900)->atPressure($this->flow([], 1.0)));
        // At 2,400 m water boils at 92.0 °C: 2^0.8 = 1.741.
        self::assertEqualsWithDelta(8 * 1.741, $this->law(2400)->atPressure($this->flow([], 1.0)), 0.03);
    }

    public function testItFallsByTheLawOfCoolingAndNeverInLessThanTenMinutes(): void
    {
        $small = $this->falling(1.0, StraightShape::round(240, 200), 0.8);
        self::assertSame(10.0, $small);
        // Ten times as much in a pot 40 by 40 cm; faces 0.126 + 0.503 m², 120 to 100 °C in 28 °C: ln(92/72) = 0.245.
        $flow = $this->flow([], 30.0);
        $capacity = $flow->taken->heatCapacityKj(Shipped::larder()) + 8 * 0.9;
        $by = ($capacity * 1000) / (10 * 0.6283) / 60 * 0.2451;
        self::assertEqualsWithDelta($by, $this->falling(30.0, StraightShape::round(400, 400), 8.0), 0.02 * $by);
        self::assertGreaterThan(10, $by);
    }

    private function falling(float $factor, StraightShape $shape, float $emptyKg): float
    {
        $flow = $this->flow([], $factor);
        $vessel = new Vessel('c', 'Cooker', VesselKind::Cooker, $shape, Metal::Aluminium, $emptyKg);

        return $this->law()->falling($flow, new PotChoice(VesselRun::of([$flow]), [$vessel], 1.0, null, PotReason::Smallest, false));
    }

    private function law(float $metres = 0.0): PressureTime
    {
        return new PressureTime($this->kitchen($metres), Shipped::larder());
    }

    private function kitchen(float $metres): Kitchen
    {
        $document = ['roomCelsius' => 28, 'altitudeM' => $metres] + Shipped::document('kitchens/kumbhar-lane');

        return (new KitchenReader())->read(json_encode($document, \JSON_THROW_ON_ERROR));
    }

    /** @param array<string, mixed> $changes */
    private function flow(array $changes, float $factor): StepFlow
    {
        $recipe = (new RecipeReader(Shipped::larder()))->read(Document::changed(Shipped::document('recipes/filled-flatbread'), $changes));

        return Ledger::follow($recipe, Shipped::larder(), $factor, 1, Climate::usual())->flow('boil');
    }
}
