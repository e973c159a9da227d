<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Explaining;

use FeastLadle\Explaining\MomentChance;
use FeastLadle\Explaining\MomentChances;
use FeastLadle\Explaining\Word;
use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Modelling\Obstacle;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Schedule\Audit;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\Risk;
use FeastLadle\Solving\Plan;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A moment is as sure as all its sweets together; and room goes where it makes it surer. */
final class MomentChancesTest extends TestCase
{
    /** @return iterable<string, array{Feast, Kitchen}> */
    public static function demos(): iterable
    {
        yield 'home' => [Shipped::feast(), Shipped::kitchen()];
        yield 'temple' => [Shipped::templeFeast(), Shipped::temple()];
    }

    #[DataProvider('demos')]
    public function testRoomIsPutWhereItHelpsAndThePlanStillHolds(Feast $feast, Kitchen $kitchen): void
    {
        $planner = new FeastPlanner(Shipped::larder());
        $plain = $planner->glance($feast, $kitchen);
        $plan = $planner->plan($feast, $kitchen);
        // In a large plan room is looked for when somebody asks for a better one.
        $plan = $planner->improve($feast, $kitchen, $plan, null, Budget::milliseconds(10), 1) ?? $plan;
        self::assertTrue($plan->isOnTime());
        self::assertSame([], (new Audit())->faults($plan->problem, $plan->solution));
        // Judged by other futures than those it was found by.
        $before = self::chances($feast, $plain, 7)->least();
        $after = self::chances($feast, $plan, 7)->least();
        self::assertNotNull($before);
        self::assertNotNull($after);
        self::assertNotSame(Word::Sure, $before->word);
        self::assertGreaterThanOrEqual(Risk::SURE, $after->chance);
        self::assertGreaterThan(($before->chance ?? 0.0) + 0.1, $after->chance);
        self::assertFalse($plan->isLate());
    }

    public function testAMomentIsNoSurerThanItsLeastSureSweetAndNoLessThanChanceWouldHaveIt(): void
    {
        $feast = Shipped::templeFeast();
        $plan = (new FeastPlanner(Shipped::larder()))->try($feast, Shipped::temple());
        $risk = Risk::of($plan->problem, $plan->solution, 1000, 3, $plan->margins);
        $offering = MomentChances::of($feast, $plan, $risk)->moments[0];
        $own = array_filter($risk->chances, static fn (string $id): bool => !str_starts_with($id, 'box:'), \ARRAY_FILTER_USE_KEY);
        self::assertLessThanOrEqual(min([1.0, ...array_values($own)]), $offering->chance);
        self::assertGreaterThanOrEqual(1 - array_sum(array_map(static fn (float $c): float => 1 - $c, $own)) - 1e-9, $offering->chance);
        self::assertSame('kesari', $offering->least);
        self::assertSame(0.97, $offering->moment->wish());
        self::assertSame(0.9, MomentChances::of($feast, $plan, $risk)->moments[1]->moment->wish());
    }

    public function testWordsFollowTheChanceAndWhatIsLateIsNotInTimeWhateverTheChance(): void
    {
        self::assertSame(
            [Word::Sure, Word::Likely, Word::Likely, Word::AtRisk],
            array_map(Word::ofChance(...), [0.95, 0.949, 0.8, 0.799]),
        );
        $feast = Shipped::feast();
        $plan = (new FeastPlanner(Shipped::larder()))->try($feast, Shipped::kitchen());
        self::assertNotSame(Word::NotInTime, self::chances($feast, $plan, 1)->word($plan));
        $out = $plan->withObstacles([new Obstacle('kesari', 'Its times contradict one another.')]);
        self::assertSame(Word::NotInTime, self::chances($feast, $out, 1)->word($out));
        self::assertSame(Word::NotInTime, self::chances($feast, $out, 1)->moments[0]->word);
    }

    public function testWithoutAPlanNothingIsSure(): void
    {
        $feast = Shipped::feast();
        $plan = Plan::unscheduled((new FeastPlanner(Shipped::larder()))->quantities($feast, Shipped::kitchen()));
        $chances = MomentChances::of($feast, $plan, null);
        self::assertNull($chances->least());
        self::assertSame(0.0, $chances->shortfall());
        self::assertSame([null, null], array_map(static fn (MomentChance $m): ?float => $m->chance, $chances->moments));
    }

    private static function chances(Feast $feast, Plan $plan, int $seed): MomentChances
    {
        return MomentChances::of(
            $feast,
            $plan,
            [] === $plan->steps ? null : Risk::of($plan->problem, $plan->solution, 1000, $seed, $plan->margins),
        );
    }
}
