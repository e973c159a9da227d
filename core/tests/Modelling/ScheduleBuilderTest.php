<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Modelling;

use FeastLadle\Amounts\QuantityPlanner;
use FeastLadle\Feast\Feast;
use FeastLadle\Feast\Shift;
use FeastLadle\Heat\Burner;
use FeastLadle\Heat\Climate;
use FeastLadle\Heat\Fuel;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Kitchen\Measures;
use FeastLadle\Kitchen\Storeroom;
use FeastLadle\Modelling\ScheduleModel;
use FeastLadle\Schedule\Link;
use FeastLadle\Schedule\LinkType;
use FeastLadle\Solving\Solve;
use FeastLadle\Solving\Task;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** What of a feast becomes which part of a schedule problem. */
final class ScheduleBuilderTest extends TestCase
{
    public function testFiresPotsPeopleAndColdSpaceAreResources(): void
    {
        $problem = $this->draft()->problem;
        self::assertSame(1, $problem->resources['wide-ring']->capacity);
        self::assertSame(100, $problem->resources['asha']->capacity);
        self::assertSame(30, $problem->resources['cold-space']->capacity);
        self::assertGreaterThan(0, $problem->resources['tall-pot']->turnover);
    }

    public function testShiftsBecomeCalendarsInMinutesFromTheOrigin(): void
    {
        $draft = $this->draft();
        $calendar = $draft->problem->resources['asha']->calendar;
        self::assertSame('18:00', $draft->axis->instant($calendar[0][0])->format('H:i'));
        self::assertSame('21:00', $draft->axis->instant($calendar[0][1])->format('H:i'));
        self::assertSame('08:30', $draft->axis->instant($calendar[1][0])->format('H:i'));
        self::assertSame($calendar[1][0], $draft->axis->minute($draft->axis->instant($calendar[1][0])));
    }

    public function testTiesAndKeepingBecomeLongestGaps(): void
    {
        $links = $this->links($this->draft());
        self::assertSame(3, $links['kesari/1/roast kesari/1/merge']->max);
        self::assertSame(8, $links['kesari/1/liquid kesari/1/merge']->max);
        self::assertSame(40, $links['kesari/1/finish kesari/1/dish-up']->max, 'it keeps warm for forty minutes');
    }

    public function testAPotIsHeldUntilItsContentsHaveGoneOn(): void
    {
        $problem = $this->draft()->problem;
        $hold = $problem->holds['kesari/1/liquid'];
        $marker = 'kesari/1/liquid>kesari/1/merge';
        self::assertSame(['kesari/1/liquid', $marker], $hold->activities);
        self::assertSame(0, $problem->activities[$marker]->duration->likely);
        $tie = array_values(array_filter($problem->links, static fn (Link $l): bool => $l->to === $marker))[0];
        self::assertSame([LinkType::StartToStart, 0, 0], [$tie->type, $tie->min, $tie->max]);
    }

    public function testASyrupThatGoesOnInItsPotHoldsItThroughTheSteeping(): void
    {
        self::assertContains('balls/1/steep', $this->draft()->problem->holds['balls/1/syrup']->activities);
    }

    public function testASecondHeatedStepStaysOnTheFireOfTheFirst(): void
    {
        $need = $this->draft()->problem->activities['kesari/1/merge']->needs[0];
        self::assertSame('kesari/1/roast', $need->sameAs?->id);
    }

    public function testEachFireHasItsOwnDuration(): void
    {
        $need = $this->draft()->problem->activities['basundi/1/boil']->needs[0];
        self::assertLessThan($need->durations['small-ring'] ?? \PHP_INT_MAX, $need->durations['wide-ring'] ?? 0);
    }

    public function testConstantAttentionTakesMostOfAPersonAndWatchingAShare(): void
    {
        $activities = $this->draft()->problem->activities;
        self::assertSame(
            [75, ['asha']],
            [$activities['kesari/1/roast']->needs[1]->units, $activities['kesari/1/roast']->needs[1]->from],
        );
        self::assertSame(20, $activities['kesari/1/liquid']->needs[1]->units);
        self::assertSame(['nilu', 'asha'], $activities['kesari/0/dice']->needs[0]->from, 'helpers first');
        self::assertSame([], $activities['barfi/1/set']->needs);
    }

    public function testHotDishesPayForBeingEarlyAndKeepersDoNot(): void
    {
        $activities = $this->draft()->problem->activities;
        $hot = $activities['kesari/1/dish-up']->due;
        self::assertNotNull($hot);
        self::assertGreaterThan(0, $hot->early);
        self::assertGreaterThan($hot->early, $hot->late);
        self::assertSame(0, $activities['barfi/0/dish-up']->due?->early);
    }

    public function testAHotDishMayNotBeReadyLongerThanItKeeps(): void
    {
        $draft = $this->draft();
        $last = $draft->problem->activities['kesari/1/dish-up'];
        // The sitting is at 18:40 and it keeps ninety minutes.
        self::assertSame('17:10', $draft->axis->instant($last->earliestStart + $last->duration->likely)->format('H:i'));
    }

    public function testNothingStartsBeforeNowOnTheDay(): void
    {
        $now = new \DateTimeImmutable('2031-11-15 12:00:30 +05:30');
        $feast = Shipped::feast();
        $task = new Task($feast, Shipped::kitchen(), $this->quantities($feast, Shipped::kitchen()), $now);
        $draft = (new Solve(Shipped::larder()))->model($task);
        self::assertSame('12:01', $draft->axis->origin->format('H:i'));
        self::assertSame(0, $draft->problem->horizonStart);
        self::assertSame([[0, 449]], $draft->problem->resources['asha']->calendar);
    }

    public function testAFireThatNeverBoilsThePotIsSaid(): void
    {
        $kitchen = Shipped::kitchen();
        $spark = new Kitchen(
            $kitchen->name,
            ['spark' => new Burner('spark', 'Candle', Fuel::Gas, 0.3, 40)],
            $kitchen->vessels,
            $kitchen->people,
            new Climate(27, 0.6, 0),
            new Measures(240, 1),
            new Storeroom(30),
        );
        $obstacles = $this->draft(null, $spark)->obstacles;
        // Not the barfi, whose minutes are told, nor the kesari, whose syrup gets hot under a lid, nor the balls, whose syrup reduces
        // below the boil.
        self::assertSame(['basundi'], array_map(static fn ($o): string => $o->dish, $obstacles));
        self::assertStringContainsString('more than the fire gives', $obstacles[0]->sentence->id);
    }

    public function testWithoutACookOnlyTheHelpersWorkIsPossible(): void
    {
        $feast = Shipped::feast();
        $alone = new Feast(
            $feast->name,
            $feast->timeZone,
            null,
            $feast->groups,
            $feast->moments,
            array_values(array_filter($feast->shifts, static fn (Shift $s): bool => 'nilu' === $s->person)),
            $feast->dishes,
        );
        foreach ($this->draft($alone)->obstacles as $obstacle) {
            self::assertStringContainsString('who can do it', $obstacle->sentence->id);
            self::assertSame(0, $obstacle->sentence->values['there']);
        }
        self::assertCount(4, $this->draft($alone)->obstacles);
    }

    public function testTooLittleColdSpaceIsSaid(): void
    {
        $kitchen = Shipped::kitchen();
        $warm = new Kitchen(
            $kitchen->name,
            $kitchen->burners,
            $kitchen->vessels,
            $kitchen->people,
            new Climate(27, 0.6, 0),
            new Measures(240, 1),
            new Storeroom(1.0),
        );
        $obstacles = $this->draft(null, $warm)->obstacles;
        self::assertSame(['basundi'], array_map(static fn ($o): string => $o->dish, $obstacles));
        self::assertStringContainsString('cold space', $obstacles[0]->sentence->id);
    }

    public function testARoomTooWarmToSetIsSaid(): void
    {
        $kitchen = Shipped::kitchen();
        $hot = new Kitchen(
            $kitchen->name,
            $kitchen->burners,
            $kitchen->vessels,
            $kitchen->people,
            new Climate(36, 0.6, 0),
            new Measures(240, 1),
            new Storeroom(30),
        );
        self::assertContains('barfi', array_map(static fn ($o): string => $o->dish, $this->draft(null, $hot)->obstacles));
    }

    private function draft(?Feast $feast = null, ?Kitchen $kitchen = null): ScheduleModel
    {
        $feast ??= Shipped::feast();
        $kitchen ??= Shipped::kitchen();

        return (new Solve(Shipped::larder()))->model(new Task($feast, $kitchen, $this->quantities($feast, $kitchen)));
    }

    private function quantities(Feast $feast, Kitchen $kitchen): \FeastLadle\Amounts\Quantities
    {
        return (new QuantityPlanner(Shipped::larder()))->plan($feast, $kitchen);
    }

    /** @return array<string, Link> by from and to */
    private function links(ScheduleModel $draft): array
    {
        $links = [];
        foreach ($draft->problem->links as $link) {
            $links[$link->from.' '.$link->to] = $link;
        }

        return $links;
    }
}
