<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Amounts;

use FeastLadle\Amounts\Quantities;
use FeastLadle\Amounts\QuantityPlanner;
use FeastLadle\Cards\CardMaker;
use FeastLadle\Measure\Rounding;
use FeastLadle\Measure\Scale;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What must hold for any menu and crowd, tried with seeds. */
final class QuantitiesPropertyTest extends TestCase
{
    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 25; ++$seed) {
            yield "seed $seed" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function testBatchesAlwaysFitTheirPots(int $seed): void
    {
        foreach (self::quantities($seed)->dishes as $planned) {
            foreach ($planned->batchPlan->pots as $choice) {
                self::assertLessThanOrEqual(
                    $choice->limitMl() + 1e-6,
                    null === $choice->frying ? $choice->fullestMl : $choice->limitMl(),
                    $planned->dish->id.' '.$choice->run->id,
                );
            }
            // What fits nowhere names how large a pot would do.
            foreach ($planned->batchPlan->missing as $missing) {
                self::assertGreaterThan(0, $missing->neededBrimMl);
            }
        }
    }

    #[DataProvider('seeds')]
    public function testCardsStoresAndDemandAgree(int $seed): void
    {
        $quantities = self::quantities($seed);
        $onCards = [];
        foreach (CardMaker::cards($quantities) as $card) {
            foreach ($card->steps as $step) {
                foreach ($step->bowls as $bowl) {
                    $onCards[$bowl->bowl->ingredient->id] =
                        ($onCards[$bowl->bowl->ingredient->id] ?? 0.0) + $card->batches * $bowl->bowl->grams;
                }
            }
        }
        foreach ($quantities->stores as $line) {
            $id = $line->ingredient->id;
            self::assertEqualsWithDelta(array_sum($line->byDish), $line->needGrams, 1e-6, $id);
            self::assertGreaterThanOrEqual(-1e-6, $line->leftGrams(), $id);
            if (!\in_array($id, ['frying-oil', 'ghee'], true) && self::allCooked($quantities)) {
                self::assertEqualsWithDelta($onCards[$id] ?? 0.0, $line->needGrams, 1e-6, $id);
            }
        }
        foreach ($quantities->dishes as $planned) {
            $ledger = $planned->batchPlan->ledger;
            $made = $planned->demand->portion->countsPieces ? $ledger->yieldPieces() : $ledger->yieldGrams();
            self::assertGreaterThanOrEqual($planned->demand->total * 0.998, $made, $planned->dish->id);
            self::assertLessThanOrEqual($planned->demand->total * 1.002 + $planned->batchPlan->batches, $made, $planned->dish->id);
        }
    }

    /** One panful of fat serves all batches; what the pieces drink beyond 15 % of it is topped up. */
    public function testFryingFatIsOnePanfulAndWhatIsDrunkBeyondASeventh(): void
    {
        $quantities = (new QuantityPlanner(Shipped::larder()))->plan(
            Shipped::templeFeast(
                static fn (array $d): array => [
                    ...$d,
                    'boxes' => [],
                    'groups' => [['id' => 'all', 'name' => 'All', 'count' => 900]],
                    'dishes' => [['id' => 'balls', 'recipe' => 'milk-solids-balls']],
                ],
            ),
            Shipped::temple(),
        );
        $plan = $quantities->dishes['balls']->batchPlan;
        $panful = $plan->pots['fry']->frying->fatGrams ?? self::fail();
        $drunk = $plan->ledger->flow('fry')->fatDrunk * $plan->batches;
        self::assertGreaterThan(0.15 * $panful, $drunk);
        $oil = array_values(array_filter($quantities->stores, static fn ($l): bool => 'frying-oil' === $l->ingredient->id))[0];
        self::assertEqualsWithDelta($panful + $drunk - 0.15 * $panful, $oil->needGrams, 0.02 * $panful);
    }

    #[DataProvider('seeds')]
    public function testRoundingKeepsRatiosWithinTwoPercent(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $rounding = new Rounding(1.0, [new Scale(0.1, 200), new Scale(1, 5000), new Scale(20, 60000)]);
        $compared = 0;
        for ($i = 0; $i < 40; ++$i) {
            [$a, $b] = [
                10 ** (1 + 3.5 * ($random->getInt(0, 1_000_000) / 1_000_000)),
                10 ** (1 + 3.5 * ($random->getInt(0, 1_000_000) / 1_000_000)),
            ];
            if (min($a / $rounding->scaleStep($a), $b / $rounding->scaleStep($b)) >= 50) {
                self::assertEqualsWithDelta(1.0, $rounding->grams($a) / $rounding->grams($b) / ($a / $b), 0.0205);
                ++$compared;
            }
        }
        self::assertGreaterThan(5, $compared);
    }

    public function testTheFinestScaleThatCarriesItIsTaken(): void
    {
        $rounding = new Rounding(5.0, [new Scale(0.1, 200), new Scale(1, 5000), new Scale(20, 60000)]);
        self::assertSame(
            [0.1, 1.0, 20.0, 20.0],
            [$rounding->scaleStep(12), $rounding->scaleStep(900), $rounding->scaleStep(20_000), $rounding->scaleStep(200_000)],
        );
        self::assertTrue($rounding->isWeighable(1.5));
        self::assertFalse((new Rounding(5.0))->isWeighable(1.5));
    }

    public function testAHundredThousandGuestsAreAnswered(): void
    {
        $feast = Shipped::templeFeast(static function (array $d): array {
            $d['groups'] = [['id' => 'all', 'name' => 'All', 'count' => 100_000, 'appetite' => 1]];

            return $d;
        });
        $quantities = (new QuantityPlanner(Shipped::larder()))->plan($feast, Shipped::temple());
        self::assertGreaterThan(1e6, $quantities->dishes['kesari']->demand->total);
        self::assertNotSame([], $quantities->stores);
    }

    private static function allCooked(Quantities $quantities): bool
    {
        foreach ($quantities->dishes as $planned) {
            if (!$planned->canBeCooked()) {
                return false;
            }
        }

        return true;
    }

    private static function quantities(int $seed): Quantities
    {
        $random = new Randomizer(new Mt19937($seed));
        $slugs = [
            'basundi',
            'broken-wheat-pudding',
            'cashew-diamonds',
            'coconut-rose-barfi',
            'filled-flatbread',
            'gram-honeycomb',
            'jalebi',
            'milk-solids-balls',
            'millet-cups',
            'peanut-brittle',
            'pineapple-kesari',
            'pulse-coconut-pudding',
            'sago-milk',
            'sesame-balls',
            'sweet-pongal',
            'yoghurt-sweet',
        ];
        $feast = Shipped::templeFeast(static function (array $d) use ($random, $slugs): array {
            $d['boxes'] = [];
            $d['groups'] = [
                ['id' => 'all', 'name' => 'All', 'count' => $random->getInt(6, 900), 'appetite' => $random->getInt(5, 15) / 10],
            ];
            $d['dishes'] = array_map(
                static fn (int $k): array => ['id' => 'd'.$k, 'recipe' => $slugs[$k], 'uptake' => $random->getInt(3, 10) / 10],
                (array) $random->pickArrayKeys($slugs, $random->getInt(1, 6)),
            );

            return $d;
        });

        return (new QuantityPlanner(Shipped::larder()))->plan($feast, 0 === $seed % 2 ? Shipped::kitchen() : Shipped::temple());
    }
}
