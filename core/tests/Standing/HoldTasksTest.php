<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Standing;

use FeastLadle\Feast\Feast;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Feast\Moment;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Solving\Plan;
use FeastLadle\Standing\HeldDish;
use FeastLadle\Standing\Holds;
use FeastLadle\Standing\HoldTask;
use FeastLadle\Standing\HoldTaskKind;
use FeastLadle\Standing\HoldTasks;
use FeastLadle\Standing\Place;
use FeastLadle\Standing\Walk;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** What a dish wants while it waits for its guests. */
final class HoldTasksTest extends TestCase
{
    public function testGrainGoesOnDrinkingAndIsLoosenedForThoseWhoStillEat(): void
    {
        $feast = Shipped::bellFeast();
        $kitchen = Shipped::bellYard();
        $plan = (new FeastPlanner(Shipped::larder()))->plan($feast, $kitchen);
        $pongal = array_values(array_filter(
            self::held($feast, $plan, $kitchen),
            static fn (HeldDish $h): bool => 'pongal' === $h->last->planned->key->dish,
        ))[0];
        $tasks = (new HoldTasks($feast, $plan, $kitchen, Shipped::larder()))->of($pongal);
        self::assertNotSame([], $tasks);
        $served = $feast->moments[0]->at->getTimestamp() - $plan->origin->getTimestamp();
        self::assertGreaterThanOrEqual($served / 60, $tasks[0]->minute, 'not before the first who eat');
        $end = $pongal->readings[\count($pongal->readings) - 1]->minute;
        $all = 0.0;
        $moments = array_map(
            static fn (Moment $m): float => ($m->at->getTimestamp() - $plan->origin->getTimestamp()) / 60,
            $feast->moments,
        );
        foreach ($tasks as $task) {
            self::assertContains($task->minute, $moments);
            self::assertSame([HoldTaskKind::Loosen, 'water'], [$task->kind, $task->ingredient]);
            self::assertLessThan($end, $task->minute);
            $all += (float) $task->grams;
        }
        // Rice drinks 1.4 g a gram in all, split pulse 1: never more than that, and the little that leaves under a lid.
        $dry = 0.0;
        foreach ($pongal->last->gives->grams as $id => $grams) {
            $dry += Shipped::larder()->get($id)->composition->starch >= 0.4 ? $grams : 0.0;
        }
        self::assertGreaterThan(0.02 * $pongal->last->gives->massGrams(), $all);
        self::assertLessThan(1.6 * $dry, $all);
    }

    public function testWhatIsServedHotAndStandsInTheRoomIsHeatedBeforeItIsTooCold(): void
    {
        [$feast, $kitchen, $plan] = self::jalebi(200);
        [$held] = self::held($feast, $plan, $kitchen);
        self::assertSame(Place::Room, $held->place);
        $tasks = (new HoldTasks($feast, $plan, $kitchen, Shipped::larder()))->of($held);
        self::assertSame([HoldTaskKind::Reheat], array_map(static fn (HoldTask $t): HoldTaskKind => $t->kind, $tasks));
        // By then it has not yet stood two hours between 5 and 60 °C.
        $end = $held->readings[\count($held->readings) - 1]->minute;
        self::assertGreaterThan(120, $held->bandMinutes);
        self::assertLessThanOrEqual(120 + 1e-6, $held->bandMinutes - ($end - $tasks[0]->minute));
    }

    public function testWhatKeepsWantsNothing(): void
    {
        $feast = Shipped::feast();
        $kitchen = Shipped::kitchen();
        $plan = (new FeastPlanner(Shipped::larder()))->plan($feast, $kitchen);
        $keeps = array_filter(self::held($feast, $plan, $kitchen), static fn (HeldDish $h): bool => null !== $h->exempt);
        self::assertNotSame([], $keeps);
        foreach ($keeps as $held) {
            self::assertSame([], (new HoldTasks($feast, $plan, $kitchen, Shipped::larder()))->of($held));
        }
    }

    /** @return list<HeldDish> */
    private static function held(Feast $feast, Plan $plan, Kitchen $kitchen): array
    {
        return Holds::of($feast, $plan, Walk::through($feast, $plan, $kitchen, Shipped::larder()), $kitchen, Shipped::larder());
    }

    /** @return array{Feast, Kitchen, Plan} eaten for so long */
    private static function jalebi(int $servingMinutes): array
    {
        $document = Shipped::document('feasts/boat-lamp');
        $document['dishes'] = [['id' => 'it', 'recipe' => 'jalebi']];
        unset($document['boxes']);
        \assert(\is_array($document['moments']) && \is_array($document['groups']));
        $document['moments'] = \array_slice($document['moments'], 0, 2);
        \assert(\is_array($document['moments'][1]));
        $document['moments'][1]['servingMinutes'] = $servingMinutes;
        $document['groups'] = \array_slice($document['groups'], 0, 1);
        $kitchen = Shipped::temple();
        $feast = (new FeastReader($kitchen, Shipped::shelf()))->read(json_encode($document, \JSON_THROW_ON_ERROR));

        return [$feast, $kitchen, (new FeastPlanner(Shipped::larder()))->plan($feast, $kitchen)];
    }
}
