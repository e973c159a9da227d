<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Planning;

use FeastLadle\Explaining\MomentChances;
use FeastLadle\Feast\Feast;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Schedule\Audit;
use FeastLadle\Schedule\Risk;
use FeastLadle\Solving\DishTiming;
use FeastLadle\Solving\Plan;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** More hands, fires, pots or hours never make it worse; the same seed gives the same plan. */
final class MoreNeverWorseTest extends TestCase
{
    /** @return iterable<string, array{int, string}> */
    public static function kitchens(): iterable
    {
        foreach ([24, 46, 62] as $guests) {
            foreach (['fire', 'helper', 'pot', 'hours'] as $more) {
                yield $more.' for '.$guests => [$guests, $more];
            }
        }
    }

    #[DataProvider('kitchens')]
    public function testAPlanIsNeverWorseWithMore(int $guests, string $more): void
    {
        $planner = new FeastPlanner(Shipped::larder());
        [$poor, $feast] = self::given($guests, '');
        $before = $planner->try($feast, $poor);
        [$rich, $longer] = self::given($guests, $more);
        $after = $planner->orFormer($longer, $rich, $planner->try($longer, $rich), $before);
        self::assertSame([], (new Audit())->faults($after->problem, $after->solution));
        self::assertLessThanOrEqual(self::lacks($before), self::lacks($after));
        if ($before->isOnTime()) {
            self::assertTrue($after->isOnTime());
            self::assertGreaterThanOrEqual(self::sure($feast, $before) - 0.04, self::sure($longer, $after));
        }
    }

    public function testTheSameSeedGivesTheSamePlan(): void
    {
        $planner = new FeastPlanner(Shipped::larder());
        [$kitchen, $feast] = self::given(46, '');
        $one = $planner->plan($feast, $kitchen, seed: 3);
        $other = (new FeastPlanner(Shipped::larder()))->plan($feast, $kitchen, seed: 3);
        self::assertSame(serialize($one->solution->activities), serialize($other->solution->activities));
    }

    /** @return list<int> */
    private static function lacks(Plan $plan): array
    {
        return [
            \count($plan->obstacles),
            \count($plan->clocks),
            \count($plan->overruns),
            array_sum(array_map(static fn (DishTiming $t): int => $t->lateMinutes, $plan->timings)),
        ];
    }

    private static function sure(Feast $feast, Plan $plan): float
    {
        $chances = MomentChances::of($feast, $plan, Risk::of($plan->problem, $plan->solution, grace: $plan->margins));

        return $chances->least()->chance ?? 0.0;
    }

    /** @return array{Kitchen, Feast} */
    private static function given(int $guests, string $more): array
    {
        $kitchen = Shipped::document('kitchens/kumbhar-lane');
        $feast = Shipped::document('feasts/new-roof');
        \assert(\is_array($kitchen['burners']) && \is_array($kitchen['vessels']) && \is_array($kitchen['people']));
        \assert(\is_array($feast['groups']) && \is_array($feast['groups'][0]));
        \assert(\is_array($feast['hands']) && \is_array($feast['hands'][0]));
        $feast['groups'][0]['count'] = $guests;
        match ($more) {
            'fire' => $kitchen['burners'][] = ['id' => 'more', 'name' => 'One more', 'fuel' => 'gas', 'kilowatts' => 3.0, 'ringMm' => 110],
            'pot' => $kitchen['vessels'][] = ['id' => 'more', 'name' => 'One more'] + (array) $kitchen['vessels'][0],
            'helper' => $feast['hands'][] = ['person' => 'more'] + $feast['hands'][0],
            'hours' => $feast['hands'][] = ['day' => -1, 'from' => '15:00', 'to' => '19:00'] + $feast['hands'][0],
            default => null,
        };
        if ('helper' === $more) {
            $kitchen['people'][] = ['id' => 'more', 'name' => 'One more', 'skill' => 'any'];
        }
        $there = (new KitchenReader())->read(json_encode($kitchen, \JSON_THROW_ON_ERROR));

        return [$there, (new FeastReader($there, Shipped::shelf()))->read(json_encode($feast, \JSON_THROW_ON_ERROR))];
    }
}
