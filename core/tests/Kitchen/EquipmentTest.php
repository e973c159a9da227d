<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Kitchen;

use FeastLadle\Amounts\QuantityPlanner;
use FeastLadle\Document\Fault;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Tests\Support\Shipped;
use FeastLadle\Timing\StepTimer;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class EquipmentTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, float}> shape, its height */
    public static function byLitres(): iterable
    {
        yield 'straight' => [['form' => 'straight', 'diameterMm' => 360, 'litres' => 20.36], 200.0];
        yield 'tapered, the rim smaller than the base' => [
            ['form' => 'tapered', 'baseMm' => 340, 'rimMm' => 240, 'litres' => 13.34],
            200.0,
        ];
        yield 'bowl' => [['form' => 'bowl', 'rimMm' => 450, 'litres' => 12.57], 140.0];
        yield 'box' => [['form' => 'box', 'lengthMm' => 400, 'widthMm' => 300, 'litres' => 6], 50.0];
    }

    /** @param array<string, mixed> $shape */
    #[DataProvider('byLitres')]
    public function testAPotIsKnownByWhatItHolds(array $shape, float $height): void
    {
        self::assertEqualsWithDelta($height, (new KitchenReader())->read($this->withPot($shape))->vessels['asked']->shape->heightMm(), 0.2);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function impossible(): iterable
    {
        yield 'a negative height' => [['form' => 'straight', 'diameterMm' => 200, 'heightMm' => -1], '/vessels/0/shape/heightMm'];
        yield 'height and litres' => [
            ['form' => 'straight', 'diameterMm' => 200, 'heightMm' => 100, 'litres' => 3],
            '/vessels/0/shape/litres',
        ];
        yield 'a tower' => [['form' => 'straight', 'diameterMm' => 20, 'litres' => 50], '/vessels/0/shape/litres'];
        yield 'no such shape' => [['form' => 'square', 'heightMm' => 100], '/vessels/0/shape/form'];
    }

    /** @param array<string, mixed> $shape */
    #[DataProvider('impossible')]
    public function testAnImpossiblePotIsRefusedAtItsPlace(array $shape, string $pointer): void
    {
        try {
            (new KitchenReader())->read($this->withPot($shape));
            self::fail('It was read.');
        } catch (FaultyDocument $faulty) {
            self::assertContains($pointer, array_map(static fn (Fault $f): string => $f->pointer, $faulty->faults));
        }
    }

    public function testToolsScalesRulesAndPantryAreReadAndTheirFaultsFound(): void
    {
        $temple = Shipped::temple();
        self::assertSame(20.0, $temple->measures->scales[2]->stepGrams);
        self::assertSame(3, $temple->tools['stone-grinder']->loads(9000, 0));
        $faulty = [
            ...Shipped::document('kitchens/plain'),
            'tools' => [['id' => 'x', 'name' => 'X', 'process' => 'grind']],
            'pantry' => [['what' => 'milk', 'grams' => 5, 'until' => 'soon']],
            'rules' => [['id' => 'r', 'name' => 'R', 'forbids' => []]],
            'prices' => ['milk' => -1],
        ];
        try {
            (new KitchenReader())->read(json_encode($faulty, \JSON_THROW_ON_ERROR));
            self::fail('It was read.');
        } catch (FaultyDocument $document) {
            self::assertEqualsCanonicalizing(
                ['/tools/0', '/pantry/0/until', '/rules/0/forbids', '/prices/milk'],
                array_map(static fn (Fault $f): string => $f->pointer, $document->faults),
            );
        }
    }

    public function testAToolsOwnLoadDecidesHowOftenItIsFilled(): void
    {
        $feast = Shipped::templeFeast();
        $small = (new KitchenReader())->read(
            json_encode(
                [
                    ...Shipped::document('kitchens/tamarind-ghat'),
                    'tools' => [['id' => 'jar', 'name' => 'Jar', 'process' => 'grind', 'loadGrams' => 250, 'restMinutes' => 4]],
                ],
                \JSON_THROW_ON_ERROR,
            ),
        );
        $planned = (new QuantityPlanner(Shipped::larder()))->plan($feast, $small)->dishes['cups'];
        $flow = $planned->batchPlan->ledger->flow('filling');
        $loads = (new StepTimer($small, Shipped::larder()))->loads($flow, null);
        self::assertSame((int) ceil($flow->taken->massGrams() / 250 - 1e-9), $loads);
        self::assertGreaterThan((new StepTimer(Shipped::temple(), Shipped::larder()))->loads($flow, null), $loads);
    }

    public function testAKitchensOwnFillLimitsDecideOnPots(): void
    {
        $feast = Shipped::templeFeast();
        $careful = (new KitchenReader())->read(
            json_encode([...Shipped::document('kitchens/tamarind-ghat'), 'fillLimits' => ['syrup' => 0.2]], \JSON_THROW_ON_ERROR),
        );
        $planned = (new QuantityPlanner(Shipped::larder()))->plan($feast, $careful)->dishes['kesari'];
        self::assertSame(0.2, $planned->batchPlan->pots['liquid']->run->limitShare);
        self::assertLessThanOrEqual(0.2, $planned->batchPlan->pots['liquid']->fullShare());
        $this->expectException(FaultyDocument::class);
        (new KitchenReader())->read(
            json_encode([...Shipped::document('kitchens/plain'), 'fillLimits' => ['syrup' => 1.4]], \JSON_THROW_ON_ERROR),
        );
    }

    /** @param array<string, mixed> $shape */
    private function withPot(array $shape): string
    {
        return json_encode(
            [
                ...Shipped::document('kitchens/plain'),
                'vessels' => [['id' => 'asked', 'name' => 'Asked', 'kind' => 'pot', 'shape' => $shape]],
            ],
            \JSON_THROW_ON_ERROR,
        );
    }
}
