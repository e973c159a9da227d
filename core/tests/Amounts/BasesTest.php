<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Amounts;

use FeastLadle\Feast\Feast;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** One base for several dishes, made once and in time; loads that go straight on; ways chosen for a dish. */
final class BasesTest extends TestCase
{
    public function testDemandForOneBaseIsMergedAcrossTheFeast(): void
    {
        $feast = $this->feast([['id' => 'sesame', 'recipe' => 'sesame-balls'], ['id' => 'wheat', 'recipe' => 'broken-wheat-pudding']]);
        $quantities = (new FeastPlanner(Shipped::larder()))->quantities($feast, Shipped::kitchen());
        $wanted = 0.0;
        foreach (['sesame', 'wheat'] as $dish) {
            $wanted += $quantities->dishes[$dish]->batchPlan->ledger->bases()['jaggery-syrup'];
        }
        self::assertSame(['sesame', 'wheat', 'base-jaggery-syrup', 'base-fried-nuts'], array_keys($quantities->dishes));
        self::assertEqualsWithDelta($wanted, $quantities->dishes['base-jaggery-syrup']->batchPlan->ledger->yieldGrams(), 0.5);
        $jaggery = array_values(array_filter($quantities->stores, static fn ($line): bool => 'jaggery' === $line->ingredient->id));
        self::assertCount(1, $jaggery, 'bought once for both');
    }

    public function testABaseIsReadyBeforeEveryStepThatTakesFromItAndStillKeeps(): void
    {
        $plan = $this->plan([['id' => 'sesame', 'recipe' => 'sesame-balls'], ['id' => 'wheat', 'recipe' => 'broken-wheat-pudding']]);
        self::assertSame([], $plan->obstacles);
        $ready = max(array_map(static fn (PlannedStep $s): int => $s->endMinute, $this->steps($plan, 'base-jaggery-syrup', 'strain')));
        foreach ([['sesame', 'syrup'], ['wheat', 'sweeten']] as [$dish, $step]) {
            foreach ($this->steps($plan, $dish, $step) as $taker) {
                self::assertGreaterThanOrEqual($ready, $taker->startMinute);
                self::assertLessThanOrEqual($ready + 4320, $taker->startMinute);
            }
        }
    }

    public function testABoughtBaseIsNeitherMadeNorPlanned(): void
    {
        $plan = $this->plan([['id' => 'sesame', 'recipe' => 'sesame-balls', 'bought' => ['jaggery-syrup']]]);
        self::assertArrayNotHasKey('base-jaggery-syrup', $plan->quantities->dishes);
        self::assertContains('date-syrup', array_map(static fn ($line): string => $line->ingredient->id, $plan->quantities->stores));
    }

    public function testHotLoadsGoStraightIntoTheSyrupWhileTheNextIsFried(): void
    {
        $straight = $this->plan([['id' => 'balls', 'recipe' => 'milk-solids-balls', 'portion' => 8]]);
        $fry = $this->steps($straight, 'balls', 'fry')[0];
        $steep = array_values(
            array_filter(
                $this->steps($straight, 'balls', 'steep'),
                static fn (PlannedStep $s): bool => $s->key->round->is($fry->key->round),
            ),
        )[0];
        self::assertLessThan($fry->endMinute, $steep->startMinute);
        self::assertGreaterThan($fry->startMinute, $steep->startMinute);
        self::assertGreaterThanOrEqual($fry->endMinute + 50, $steep->endMinute, 'the last load has its time too');

        $together = $this->plan([
            ['id' => 'balls', 'recipe' => 'milk-solids-balls', 'portion' => 8, 'schools' => ['soak' => 'together']],
        ]);
        self::assertGreaterThanOrEqual(
            $this->steps($together, 'balls', 'fry')[0]->endMinute,
            $this->steps($together, 'balls', 'steep')[0]->startMinute,
        );
    }

    public function testSeveralSmallPansMakeMoreBatches(): void
    {
        $batches = fn (string $pots): int => (new FeastPlanner(Shipped::larder()))->quantities(
            $this->feast([['id' => 'halwa', 'recipe' => 'ash-gourd-halwa', 'schools' => ['pots' => $pots]]]),
            Shipped::kitchen(),
        )->dishes['halwa']->batchPlan->batches;
        self::assertSame(1, $batches('one'));
        self::assertGreaterThan(1, $batches('several'));
    }

    public function testEveryShippedRecipeCanBePlannedForAHomeFeast(): void
    {
        foreach (Shipped::recipes() as $slug) {
            $plan = $this->plan([['id' => 'dish', 'recipe' => $slug]]);
            self::assertSame(
                [],
                array_map(static fn ($o): string => $o->sentence->id.json_encode($o->sentence->values), $plan->obstacles),
                $slug,
            );
        }
    }

    /** @param list<array<string, mixed>> $dishes */
    private function feast(array $dishes): Feast
    {
        $document = Shipped::document('feasts/new-roof');
        $document['dishes'] = $dishes;

        return (new FeastReader(Shipped::kitchen(), Shipped::shelf()))->read(json_encode($document, \JSON_THROW_ON_ERROR));
    }

    /** @param list<array<string, mixed>> $dishes */
    private function plan(array $dishes): Plan
    {
        return (new FeastPlanner(Shipped::larder()))->plan($this->feast($dishes), Shipped::kitchen());
    }

    /** @return non-empty-list<PlannedStep> */
    private function steps(Plan $plan, string $dish, string $step): array
    {
        $steps = array_values(
            array_filter($plan->steps, static fn (PlannedStep $s): bool => $s->key->dish === $dish && $s->key->step === $step),
        );
        self::assertNotSame([], $steps, $dish.'/'.$step);

        return $steps;
    }
}
