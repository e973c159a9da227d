<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Day;

use FeastLadle\Day\DayState;
use FeastLadle\Day\Fold;
use FeastLadle\Day\StepNow;
use FeastLadle\Day\StepState;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** The home feast: what was said until a minute, and how the day stands then. */
final class FoldTest extends TestCase
{
    use HomeDay;

    public function testADayThatGoesAsPlannedIsToldNothingNew(): void
    {
        foreach (['11:30', '13:05', '14:30', '16:55', '17:30'] as $time) {
            $state = $this->asPlanned($time);
            self::assertNull($state->proposal, $time);
            foreach ($state->moments as $moment) {
                self::assertGreaterThan(0.9, $moment->chance->chance, "$time {$moment->chance->moment->id}");
                self::assertSame(0, $moment->lateMinutes);
            }
        }
    }

    public function testASmallDelayWaitsItsTurnAndABigOneIsProposed(): void
    {
        $boil = self::step('basundi/1/boil');
        $late = fn (int $minutes): DayState => $this->state([
            ['11:19', 'started', ['step' => 'basundi/1/boil']],
            [$boil->end->modify("+$minutes minutes")->format('H:i'), 'done', ['step' => 'basundi/1/boil']],
        ], $boil->end->modify("+$minutes minutes")->format('H:i'));
        // The reducing was to begin at once: it moves, and everybody is told why, in one sentence.
        $state = $late(40);
        self::assertNotNull($state->proposal);
        self::assertStringContainsString('min behind', $state->proposal->because->text());
        self::assertSame('Nothing is missed.', $state->proposal->costs->text());
        $now = $boil->end->modify('+40 minutes');
        foreach ($state->proposal->moves as $move) {
            self::assertGreaterThanOrEqual($now->getTimestamp(), $move->to->start->getTimestamp(), 'nothing is told to have begun');
        }
        self::assertSame(0, array_sum(array_map(static fn ($m): int => $m->lateMinutes, $state->moments)));
    }

    public function testWhatRunsIsNeverAtItsEndAndAReadingCountsMoreThanTheClock(): void
    {
        $started = ['11:19', 'started', ['step' => 'basundi/1/boil']];
        foreach (['11:20', '11:50', '12:10', '13:30'] as $time) {
            $boil = self::now($this->state([$started], $time), 'basundi/1/boil');
            self::assertSame(StepState::Running, $boil->progress->state);
            self::assertGreaterThan(0, $boil->left?->least);
        }
        // By hand: from t to the boil, half of the way in 20 minutes, so as long again; a fifth less or more.
        $flow = self::step('basundi/1/boil')->dish->batchPlan->ledger->flow('boil');
        $half = ($flow->taken->celsius + $flow->warmsTo(Shipped::kitchen()->climate->boilingCelsius())) / 2;
        $read = ['11:39', 'reading', ['vessel' => 'tall-pot', 'celsius' => round($half, 1)]];
        $left = self::now($this->state([$started, $read], '11:39'), 'basundi/1/boil')->left;
        self::assertEqualsWithDelta(20, $left?->likely, 1.0);
        self::assertEqualsWithDelta(16, $left?->least, 1.0);
        self::assertEqualsWithDelta(24, $left?->most, 1.0);
        // Five minutes after the reading five are gone.
        $later = self::now($this->state([$started, $read], '11:44'), 'basundi/1/boil')->left;
        self::assertEqualsWithDelta(15, $later?->likely, 1.0);
    }

    public function testAWeighedPotTellsHowFarItIsReduced(): void
    {
        $reduce = self::step('basundi/1/reduce');
        $flow = $reduce->dish->batchPlan->ledger->flow('reduce');
        $from = $reduce->start;
        // A quarter of what is to go is gone after half an hour: an hour and a half more.
        $grams = $flow->taken->massGrams() - $flow->waterOff / 4;
        $pot = Shipped::kitchen()->vessels['tall-pot'];
        $say = fn (string $what, float $value, bool $gross = false): ?int => self::now($this->state([
            ['11:19', 'started', ['step' => 'basundi/1/boil']],
            [$from->format('H:i'), 'done', ['step' => 'basundi/1/boil']],
            [$from->format('H:i'), 'started', ['step' => 'basundi/1/reduce']],
            [$from->modify('+30 minutes')->format('H:i'), 'reading', ['vessel' => 'tall-pot', $what => $value, 'gross' => $gross]],
        ], $from->modify('+30 minutes')->format('H:i')), 'basundi/1/reduce')->left?->likely;
        self::assertEqualsWithDelta(90, $say('grams', $grams), 1.0);
        self::assertEqualsWithDelta(90, $say('grams', $grams + 1000 * $pot->emptyKg, true), 1.0);
        $mm = $pot->shape->depthMm($flow->taken->volumeMl(Shipped::larder()) - $flow->waterOff / 4);
        self::assertEqualsWithDelta(90, $say('mm', round($mm, 2)), 2.0);
    }

    public function testWhatStandsInTheVesselsIsWalkedWithTheTimesThatWere(): void
    {
        $reduce = self::step('basundi/1/reduce');
        $flow = $reduce->dish->batchPlan->ledger->flow('reduce');
        $state = $this->asPlanned($reduce->start->modify('+47 minutes')->format('H:i'));
        $pot = self::vessel($state, 'tall-pot');
        // Half of its minutes, half of its water.
        self::assertSame(['basundi/1'], $pot->holds);
        self::assertEqualsWithDelta($flow->taken->massGrams() - $flow->waterOff / 2, $pot->contents->massGrams(), 40.0);
        self::assertSame(['small-ring', 'high'], [$pot->where, $pot->flame]);
        self::assertGreaterThan(95, $pot->contents->celsius);

        $moved = $this->state([
            ['11:19', 'started', ['step' => 'basundi/1/boil']],
            ['11:30', 'moved', ['vessel' => 'tall-pot', 'to' => 'wide-ring', 'flame' => 'low', 'lid' => 'ajar']],
            ['11:31', 'reading', ['vessel' => 'tall-pot', 'celsius' => 44]],
        ], '11:32');
        $pot = self::vessel($moved, 'tall-pot');
        self::assertSame(['wide-ring', 'low', 'ajar', 44.0], [$pot->where, $pot->flame, $pot->lid, $pot->contents->celsius]);
    }

    public function testWhatIsReadyHasItsTwoClocksRunning(): void
    {
        $counted = [];
        foreach (['17:25', '17:35', '17:42'] as $time) {
            foreach ($this->asPlanned($time)->holds as $hold) {
                $dish = $hold->held->last->planned->key->dish;
                self::assertGreaterThanOrEqual($counted[$dish] ?? 0.0, $hold->bandMinutes, "$dish at $time: a clock never runs back");
                self::assertLessThanOrEqual($hold->held->bandMinutes + 1, $hold->bandMinutes);
                $counted[$dish] = $hold->bandMinutes;
            }
        }
        self::assertArrayHasKey('balls', $counted);
        self::assertArrayHasKey('barfi', $counted);
        self::assertArrayNotHasKey('kesari', $counted, 'it is not ready yet');
    }

    public function testWhatMayBeginHasAllItTakesAndAFreeFire(): void
    {
        $may = static fn (DayState $state): array => array_values(array_map(
            static fn (StepNow $s): string => $s->id(),
            array_filter($state->steps, static fn (StepNow $s): bool => StepState::CanBegin === $s->progress->state),
        ));
        $fresh = $may($this->state([], '11:18'));
        self::assertContains('basundi/1/boil', $fresh);
        self::assertContains('kesari/0/dice', $fresh);
        self::assertNotContains('basundi/1/reduce', $fresh, 'the milk does not boil yet');
        self::assertNotContains('kesari/1/merge', $fresh);
        // One who stirs has no second spoon, and the small ring is taken.
        $busy = $may($this->state([['11:19', 'started', ['step' => 'basundi/1/boil']]], '11:20'));
        self::assertNotContains('basundi/1/boil', $busy);
        self::assertNotContains('kesari/1/liquid', $busy, 'its ring is taken');
    }

    public function testWhoIsAwayIsToldNothing(): void
    {
        // Nilu comes at three; she is away until half past five.
        $state = $this->state(
            [['14:00', 'late', ['person' => 'nilu', 'until' => '2031-11-15T17:30:00+05:30']]],
            '14:00',
            $this->saidAsPlanned('14:00'),
        );
        foreach ($state->plan->steps as $step) {
            if (\in_array('nilu', $step->people, true)) {
                self::assertGreaterThanOrEqual('17:30', $step->start->format('H:i'), $step->key->id());
            }
        }
        // A ring that is out for a while is not cooked on until it is back.
        $out = ['14:46', 'out', ['thing' => 'wide-ring', 'until' => '2031-11-15T15:20:00+05:30']];
        $state = $this->state([$out], '14:46', $this->saidAsPlanned('14:46'));
        self::assertNull($state->stuck);
        foreach ($state->plan->steps as $step) {
            $isThen = $step->start->format('H:i') > '14:46' && $step->start->format('H:i') < '15:20';
            self::assertFalse($isThen && 'wide-ring' === $step->burner, $step->key->id());
        }
        $back = $this->state([$out, ['14:50', 'back', ['thing' => 'wide-ring']]], '14:50', $this->saidAsPlanned('14:46'));
        $cook = array_values(array_filter($back->plan->steps, static fn (PlannedStep $s): bool => 'barfi/1/cook' === $s->key->id()));
        self::assertSame('wide-ring', $cook[0]->burner);
        self::assertGreaterThanOrEqual('14:50', $cook[0]->start->format('H:i'));
        self::assertLessThan('15:00', $cook[0]->start->format('H:i'));
        // Without it for good nothing hot can meet something hot: that is said, and no plan is made up.
        $gone = $this->state([['14:46', 'out', ['thing' => 'wide-ring']]], '14:46', $this->saidAsPlanned('14:46'));
        self::assertNotNull($gone->stuck);
        self::assertNull($gone->proposal);
        self::assertNull($gone->moments[0]->chance->chance);
    }

    public function testAPlanThatWasPutInForceIsTheOneToldFrom(): void
    {
        $said = $this->saidAsPlanned('14:00');
        $dice = self::step('kesari/0/dice');
        $move = [
            'step' => 'kesari/0/dice',
            'start' => $dice->start->modify('-10 minutes')->format('c'),
            'end' => $dice->end->modify('-10 minutes')->format('c'),
            'person' => $dice->people,
        ];
        $put = ['14:00', 'replanned', ['fingerprint' => 'f', 'because' => 'Asha has a moment', 'moves' => [$move]]];
        $state = $this->state([$put], '14:01', $said);
        $found = array_values(array_filter($state->plan->steps, static fn (PlannedStep $s): bool => 'kesari/0/dice' === $s->key->id()));
        self::assertEquals($dice->start->modify('-10 minutes'), $found[0]->start);
        self::assertNull($state->proposal, 'nothing else moves');
    }

    public function testAPlanThatWasMadeOnTheDayIsToldByItsOwnMinutes(): void
    {
        $now = new \DateTimeImmutable('2031-11-15T10:00:00+05:30');
        $plan = (new FeastPlanner(Shipped::larder()))->plan(Shipped::feast(), Shipped::kitchen(), $now);
        $log = $this->reader()->read('{"format": "feast-ladle/day-log", "version": 1, "events": []}');
        $state = (new Fold(Shipped::feast(), Shipped::kitchen(), Shipped::larder(), $plan))->state($log, $now);
        self::assertNull($state->proposal);
        self::assertEquals($plan->steps[0]->start, $state->plan->steps[0]->start);
    }

    public function testWhatWasDoneLongBeforeTheFirstShiftIsDone(): void
    {
        $event = ['id' => 'a', 'at' => '2031-11-10T12:00:00+05:30', 'kind' => 'done', 'step' => 'kesari/0/nuts'];
        $log = ['format' => 'feast-ladle/day-log', 'version' => 1, 'events' => [$event]];
        $read = $this->reader()->read(json_encode($log, \JSON_THROW_ON_ERROR));
        $fold = new Fold(Shipped::feast(), Shipped::kitchen(), Shipped::larder(), self::plan());
        $state = $fold->state($read, new \DateTimeImmutable('2031-11-15T11:00:00+05:30'));
        self::assertSame(StepState::Done, self::now($state, 'kesari/0/nuts')->progress->state);
        self::assertNull($state->stuck);
        self::assertGreaterThan(0.9, $state->moments[0]->chance->chance);
        // Even before the day there is an answer.
        self::assertNull($fold->state($read, new \DateTimeImmutable('2031-11-11T11:00:00+05:30'))->stuck);
    }

    public function testAPlanToTheMinuteIsNotHeldToTheRoomThatWasWished(): void
    {
        $wished = Shipped::feast()->atTheMinute();
        $plan = (new FeastPlanner(Shipped::larder()))->plan($wished, Shipped::kitchen())->toTheMinute();
        $log = $this->reader()->read('{"format": "feast-ladle/day-log", "version": 1, "events": []}');
        $fold = new Fold(Shipped::feast(), Shipped::kitchen(), Shipped::larder(), $plan);
        $state = $fold->state($log, $plan->steps[0]->start->modify('-5 minutes'));
        self::assertNull($state->proposal);
        self::assertSame(0, $state->moments[0]->lateMinutes);
    }

    public function testTheSameEventsInAnyOrderAreTheSameState(): void
    {
        $events = [...$this->saidAsPlanned('15:00'), ['14:20', 'note', ['text' => 'hm']]];
        $state = $this->state($events, '15:00');
        $other = $this->state(array_reverse($events, true), '15:00');
        self::assertEquals($state->plan->solution, $other->plan->solution);
        self::assertEquals(
            array_map(static fn ($m): ?float => $m->chance->chance, $state->moments),
            array_map(static fn ($m): ?float => $m->chance->chance, $other->moments),
        );
    }
}
