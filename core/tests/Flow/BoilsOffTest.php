<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Flow;

use FeastLadle\Amounts\QuantityPlanner;
use FeastLadle\Flow\Ledger;
use FeastLadle\Heat\Climate;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** Water that leaves as steam on the recipe's fire does not grow with the amount. */
final class BoilsOffTest extends TestCase
{
    public function testTheBowlGrowsWithoutWhatBoilsOff(): void
    {
        self::assertEqualsWithDelta(900, $this->water(1.0, 1), 1e-6);
        self::assertEqualsWithDelta((900 - 170) * 10 + 170, $this->water(10.0, 1), 1e-6);
        // In two pots it boils off twice.
        self::assertEqualsWithDelta((900 - 170) * 5 + 170, $this->water(10.0, 2), 1e-6);
    }

    public function testWhatBoilsOffLeavesTheLedger(): void
    {
        foreach ([1.0, 4.0] as $factor) {
            $flow = $this->ledger($factor, 1)->flow('soften');
            self::assertEqualsWithDelta(170, $flow->waterOff, 1e-6);
            self::assertEqualsWithDelta($flow->taken->massGrams() - 170, $flow->gives->massGrams(), 1e-6);
        }
    }

    public function testTheYieldIsStillWhatIsWanted(): void
    {
        $feast = Shipped::templeFeast(
            static fn (array $d): array => [
                ...$d,
                'boxes' => [],
                'dishes' => [['id' => 'pudding', 'recipe' => 'broken-wheat-pudding', 'uptake' => 1]],
            ],
        );
        $planned = (new QuantityPlanner(Shipped::larder()))->plan($feast, Shipped::temple())->dishes['pudding'];
        self::assertEqualsWithDelta($planned->demand->total, $planned->batchPlan->ledger->yieldGrams(), 0.002 * $planned->demand->total);
    }

    private function water(float $factor, int $batches): float
    {
        foreach ($this->ledger($factor, $batches)->flow('soften')->bowls as $bowl) {
            if ('water' === $bowl->ingredient) {
                return $bowl->grams;
            }
        }

        return 0.0;
    }

    private function ledger(float $factor, int $batches): Ledger
    {
        return Ledger::follow($this->recipe(), Shipped::larder(), $factor, $batches, Climate::usual());
    }

    private function recipe(): Recipe
    {
        return Shipped::recipe('broken-wheat-pudding');
    }
}
