<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Modelling;

use FeastLadle\Amounts\Wave;
use FeastLadle\Explaining\RoomBefore;
use FeastLadle\Feast\Dish;
use FeastLadle\Feast\Feast;
use FeastLadle\Feast\Moment;
use FeastLadle\Modelling\Earliness;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Schedule\Risk;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Room for what takes longer, within what a dish keeps. */
final class EarlinessTest extends TestCase
{
    /** @return iterable<string, array{int, int, int}> wished, minutes over which it is eaten, planned before */
    public static function wishes(): iterable
    {
        $keeps = Shipped::recipe('pineapple-kesari')->keepMinutes;
        yield 'as wished' => [15, 0, 15];
        yield 'no longer than it keeps' => [600, 0, $keeps];
        yield 'the last who eat of it count' => [600, 30, $keeps - 30];
        yield 'never after its moment' => [20, $keeps + 60, 0];
    }

    #[DataProvider('wishes')]
    public function testAWishEndsWhereTheDishWouldSpoil(int $wished, int $eatenOver, int $planned): void
    {
        $moment = new Moment('m', Shipped::feast()->moments[0]->kind, 'Sitting', new \DateTimeImmutable('2031-11-15 18:00'), 0);
        $dish = new Dish('kesari', 'A', Shipped::recipe('pineapple-kesari'), null, 1.0, [], false, $wished);
        $wave = new Wave($moment, $moment->at->modify('+'.$eatenOver.' minutes'), [1]);

        self::assertSame($planned, Earliness::of(Shipped::bellFeast(), $dish, $wave), 'where nothing holds for the whole feast');
    }

    public function testWhatTheTriesLackIsWishedAndHelps(): void
    {
        $planner = new FeastPlanner(Shipped::larder());
        $late = $planner->glance($this->temple(0), Shipped::temple());
        $risk = Risk::of($late->problem, $late->solution, 300, grace: $late->margins);
        $wanted = RoomBefore::wanted($late, $risk);

        self::assertLessThan(0.3, $risk->chances['pudding/0/dish-up']);
        self::assertGreaterThanOrEqual($risk->earlier['pudding/0/dish-up'], $wanted['pudding']);
        self::assertSame(0, $wanted['pudding'] % 5);
        $early = $planner->glance($this->temple(90), Shipped::temple());
        self::assertGreaterThan(
            0.9,
            Risk::of($early->problem, $early->solution, 300, grace: $early->margins)->chances['pudding/0/dish-up'],
        );
        self::assertTrue($early->isOnTime());
        self::assertSame(20, Earliness::usual(Shipped::recipe('pulse-coconut-pudding')));
        self::assertSame(10, Earliness::usual(Shipped::recipe('pineapple-kesari')));
    }

    public function testRoomIsGivenUpBeforeADishIs(): void
    {
        $planner = new FeastPlanner(Shipped::larder());
        $feast = Shipped::feast(94);
        $plan = $planner->plan($feast, Shipped::kitchen());

        self::assertTrue($feast->wishesRoom());
        self::assertTrue($plan->isToTheMinute, 'a hundred and four guests on two rings leave no room');
        self::assertSame([], $plan->obstacles);
        self::assertSame([0], array_values(array_unique($plan->margins)));
        self::assertSame([], RoomBefore::heldBack($feast, $plan), 'not for keeping: there is no room');
        $long = $this->temple(240);
        $held = RoomBefore::heldBack($long, $planner->plan($long, Shipped::temple()));
        self::assertSame(30, $held['kesari/2/dish-up'] ?? null, 'its batch is eaten of for an hour, and it keeps ninety minutes');
        self::assertArrayNotHasKey('barfi/0/dish-up', $held);
        self::assertFalse($feast->atTheMinute()->wishesRoom());
        self::assertFalse($planner->plan(Shipped::feast(), Shipped::kitchen())->isToTheMinute);
    }

    private function temple(int $earlier): Feast
    {
        return Shipped::templeFeast(static function (array $document) use ($earlier): array {
            \assert(\is_array($document['dishes']));
            $document['dishes'] = array_map(
                static fn (mixed $d): mixed => \is_array($d) ? [...$d, 'readyEarlier' => $earlier] : $d,
                $document['dishes'],
            );

            return $document;
        });
    }
}
