<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Planning;

use FeastLadle\Feast\Feast;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Modelling\Obstacle;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Schedule\Audit;
use FeastLadle\Schedule\Budget;
use FeastLadle\Solving\DishTiming;
use FeastLadle\Solving\Plan;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** Five thousand guests and six sweets, in a yard with twelve pots and pans that are alike, twenty fires and thirty-two people. */
final class GreatCrowdTest extends TestCase
{
    public function testMostOfItIsPlannedAtOnceAndWhoeverLooksFurtherLosesNothing(): void
    {
        $kitchen = self::yard();
        $feast = self::crowd($kitchen);
        $planner = new FeastPlanner(Shipped::larder());
        $plan = $planner->plan($feast, $kitchen);
        self::assertSame([], (new Audit())->faults($plan->problem, $plan->solution));
        $again = $planner->plan($feast, $kitchen);
        self::assertSame($plan->solution->objective, $again->solution->objective, 'the same feast, the same plan');
        $left = implode(' ', array_map(static fn (Obstacle $o) => $o->text(), $plan->obstacles));
        self::assertLessThanOrEqual(2, \count($plan->obstacles), $left);
        [$kesari, $pongal] = [$plan->quantities->dishes['kesari'], $plan->quantities->dishes['pongal']];
        self::assertGreaterThanOrEqual(15, $kesari->batchPlan->batches + $pongal->batchPlan->batches);

        for ($round = 1; $round <= 2; ++$round) {
            $better = $planner->improve($feast, $kitchen, $plan, null, Budget::milliseconds(200), $round);
            if (null !== $better) {
                self::assertSame([], (new Audit())->faults($better->problem, $better->solution));
                self::assertLessThanOrEqual(self::lacks($plan), self::lacks($better));
                $plan = $better;
            }
        }
        self::assertLessThanOrEqual(1, \count($plan->obstacles));
    }

    /** @return array{int, int} dishes without room, minutes late */
    private static function lacks(Plan $plan): array
    {
        return [\count($plan->obstacles), array_sum(array_map(static fn (DishTiming $t): int => $t->lateMinutes, $plan->timings))];
    }

    private static function yard(): Kitchen
    {
        $document = Shipped::document('kitchens/bell-yard');
        $so = ['pot-1' => 12, 'pan-1' => 12, 'flat-pan-1' => 6, 'small-pot-1' => 6, 'garnish-pan-1' => 6, 'cooker-1' => 8];
        $vessels = [];
        \assert(\is_array($document['vessels']) && \is_array($document['burners']) && \is_array($document['people']));
        foreach ($document['vessels'] as $vessel) {
            \assert(\is_array($vessel) && \is_string($vessel['id']) && \is_string($vessel['kind']));
            if (isset($so[$vessel['id']])) {
                foreach (range(1, $so[$vessel['id']]) as $n) {
                    $vessels[] = ['id' => substr($vessel['id'], 0, -1).$n, 'name' => "$vessel[kind] $vessel[id] $n"] + $vessel;
                }
            } elseif (!\in_array($vessel['kind'], ['pot', 'pan', 'cooker'], true)) {
                $vessels[] = $vessel;
            }
        }
        $document['vessels'] = $vessels;
        $document['burners'] = self::twice($document['burners']);
        $document['people'] = self::twice($document['people']);

        return (new KitchenReader())->read(json_encode($document, \JSON_THROW_ON_ERROR));
    }

    private static function crowd(Kitchen $kitchen): Feast
    {
        $document = Shipped::document('feasts/bell-raising');
        \assert(\is_array($document['groups']) && \is_array($document['hands']));
        foreach ($document['groups'] as $g => $group) {
            \assert(\is_array($group) && \is_int($group['count']));
            $document['groups'][$g] = ['count' => (int) round($group['count'] / 1800 * 5000)] + $group;
        }
        foreach ($document['hands'] as $shift) {
            \assert(\is_array($shift) && \is_string($shift['person']));
            $document['hands'][] = ['person' => $shift['person'].'-b'] + $shift;
        }

        return (new FeastReader($kitchen, Shipped::shelf()))->read(json_encode($document, \JSON_THROW_ON_ERROR));
    }

    /**
     * @param array<mixed> $things
     *
     * @return list<mixed>
     */
    private static function twice(array $things): array
    {
        $twice = [];
        foreach ($things as $thing) {
            \assert(\is_array($thing) && \is_string($thing['id']) && \is_string($thing['name']));
            array_push($twice, $thing, ['id' => $thing['id'].'-b', 'name' => $thing['name'].' too'] + $thing);
        }

        return $twice;
    }
}
