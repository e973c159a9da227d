<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Day;

use FeastLadle\Day\DayLog;
use FeastLadle\Day\Fold;
use FeastLadle\Day\LogReader;
use FeastLadle\Day\StepState;
use FeastLadle\Day\StepStates;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** Milk is boiled, then reduced, on one fire by one cook. */
final class StepStatesTest extends TestCase
{
    private static ?Plan $plan = null;

    public function testAStepIsBegunAndDoneWhenItIsSaid(): void
    {
        $boil = $this->planned('basundi/1/boil');
        $states = $this->after([[3, 'asha', 'started'], [40, 'asha', 'done']], 'basundi/1/boil');
        $said = $states->steps['basundi/1/boil'];
        self::assertSame(StepState::Done, $said->state);
        self::assertEquals($boil->start->modify('+3 minutes'), $said->started);
        self::assertEquals($boil->start->modify('+40 minutes'), $said->ended);
        self::assertSame(StepState::NotYet, $states->steps['basundi/1/reduce']->state);
        self::assertSame([], $states->contradictions);
    }

    public function testTwoWhoSayTheSameAreOne(): void
    {
        $states = $this->after(
            [[3, 'asha', 'started'], [5, 'nilu', 'started'], [40, 'asha', 'done'], [41, 'nilu', 'done']],
            'basundi/1/boil',
        );
        $boil = $this->planned('basundi/1/boil');
        self::assertEquals($boil->start->modify('+3 minutes'), $states->steps['basundi/1/boil']->started);
        self::assertEquals($boil->start->modify('+40 minutes'), $states->steps['basundi/1/boil']->ended);
        self::assertSame([], $states->contradictions);
    }

    public function testOfTwoWhoContradictTheLaterCountsAndItIsTold(): void
    {
        $states = $this->after([[0, 'asha', 'started'], [38, 'asha', 'done'], [39, 'nilu', 'not-done']], 'basundi/1/boil');
        self::assertSame(StepState::Running, $states->steps['basundi/1/boil']->state);
        self::assertNull($states->steps['basundi/1/boil']->ended);
        self::assertSame(['e1', 'e2'], [$states->contradictions[0]->first->id, $states->contradictions[0]->counts->id]);
        // Who takes her own word back contradicts nobody.
        $own = $this->after([[0, 'asha', 'started'], [38, 'asha', 'done'], [39, 'asha', 'not-done']], 'basundi/1/boil');
        self::assertSame([], $own->contradictions);
        self::assertSame(StepState::Running, $own->steps['basundi/1/boil']->state);
    }

    public function testWhatNobodySaidToBeginBeganAsPlannedOrWhenHandsAndFireWereFree(): void
    {
        $boil = $this->planned('basundi/1/boil');
        $asPlanned = $this->after([[44, 'asha', 'done']], 'basundi/1/boil')->steps['basundi/1/boil'];
        self::assertEquals($boil->start, $asPlanned->started);
        self::assertTrue($asPlanned->startedIsGuess);
        // Done long before its time: as long before as it usually takes.
        $early = $this->after([[-60, 'asha', 'done']], 'basundi/1/boil')->steps['basundi/1/boil'];
        self::assertEquals($boil->start->modify('-60 minutes')->modify('-'.$boil->minutes().' minutes'), $early->started);

        // The milk was done a quarter of an hour after the reducing was to begin: before that its fire was not free.
        $reduce = $this->planned('basundi/1/reduce');
        $late = (int) (($reduce->start->getTimestamp() - $boil->start->getTimestamp()) / 60) + 15;
        $states = StepStates::of(self::plan(), $this->log([
            [$boil->start->modify("+$late minutes"), 'asha', 'done', 'basundi/1/boil'],
            [$reduce->end->modify('+20 minutes'), 'asha', 'done', 'basundi/1/reduce'],
        ])->until($reduce->end->modify('+1 day')));
        self::assertEquals($reduce->start->modify('+15 minutes'), $states->steps['basundi/1/reduce']->started);
    }

    public function testWorkThatIsNoStepIsHeardOfToo(): void
    {
        $feast = Shipped::templeFeast();
        $plan = (new FeastPlanner(Shipped::larder()))->plan($feast, Shipped::temple());
        $job = array_values(array_filter($plan->jobs, static fn ($j): bool => null !== $j->activity))[0];
        $box = $feast->boxes[0]->id;
        $at = $job->start->modify('+4 minutes');
        $event = static fn (string $id, \DateTimeImmutable $at, string $kind): array => [
            'id' => $id, 'at' => $at->format('c'), 'kind' => $kind, 'step' => "job/$box",
        ];
        $cooked = [];
        foreach ($plan->steps as $k => $step) {
            $cooked[] = ['id' => "s$k", 'at' => $step->start->format('c'), 'kind' => 'started', 'step' => $step->key->id()];
            $cooked[] = ['id' => "t$k", 'at' => $step->end->format('c'), 'kind' => 'done', 'step' => $step->key->id()];
        }
        $log = (new LogReader($feast, Shipped::temple(), Shipped::larder()))->read(json_encode([
            'format' => 'feast-ladle/day-log', 'version' => 1,
            'events' => [...$cooked, $event('a', $job->start, 'started'), $event('b', $at, 'done')],
        ], \JSON_THROW_ON_ERROR));
        $states = StepStates::of($plan, $log->until($at));
        self::assertSame([], $states->withoutStep);
        $state = (new Fold($feast, Shipped::temple(), Shipped::larder(), $plan))->state($log, $at);
        self::assertSame(StepState::Done, $state->jobs[(string) $job->activity]->state);
        $packed = array_values(array_filter($state->plan->jobs, static fn ($j): bool => $j->activity === $job->activity))[0];
        self::assertEquals($at, $packed->end, 'it was done when it was said, and stays there');
    }

    public function testWhoBeginsAStepHasDoneWhatIsBeforeIt(): void
    {
        $states = $this->after([[0, 'asha', 'started']], 'basundi/1/sweeten');
        $at = $this->planned('basundi/1/sweeten')->start;
        foreach (['boil', 'reduce'] as $before) {
            $step = $states->steps['basundi/1/'.$before];
            self::assertSame(StepState::Done, $step->state, $before);
            self::assertTrue($step->startedIsGuess);
            self::assertLessThanOrEqual($at, $step->ended);
        }
        self::assertSame(StepState::NotYet, $states->steps['basundi/1/cool']->state);
        self::assertSame(StepState::NotYet, $states->steps['balls/1/dough']->state, 'another dish');
        // Who then says that it is not done is believed.
        $not = StepStates::of(self::plan(), $this->log([
            [$at, 'asha', 'started', 'basundi/1/sweeten'],
            [$at->modify('+1 minute'), 'asha', 'not-done', 'basundi/1/reduce'],
        ])->until($at->modify('+1 hour')));
        self::assertFalse($not->steps['basundi/1/reduce']->state->isOver());
    }

    public function testWhatWaitsByItselfBeginsByItself(): void
    {
        $dough = $this->planned('balls/1/dough');
        $events = $this->log([[$dough->end->modify('+30 minutes'), 'asha', 'done', 'balls/1/dough']])->until($dough->end->modify('+1 day'));
        $now = $dough->end->modify('+40 minutes');
        $waits = StepStates::of(self::plan(), $events)->withWhatWaits(self::plan(), self::plan()->steps, $now, []);
        $rest = $waits->steps['balls/1/rest'];
        self::assertSame(StepState::Running, $rest->state);
        self::assertEquals($dough->end->modify('+30 minutes'), $rest->started, 'no sooner than the dough was there');
        self::assertTrue($rest->startedIsGuess);
        self::assertSame(StepState::NotYet, $waits->steps['balls/1/shape']->state, 'this needs hands');
        // It takes as long as it was told to, and is taken to be over then.
        $minutes = $this->planned('balls/1/rest')->minutes();
        $over = StepStates::of(self::plan(), $events)->withWhatWaits(self::plan(), self::plan()->steps, $now->modify('+1 hour'), []);
        self::assertSame(StepState::Done, $over->steps['balls/1/rest']->state);
        self::assertEquals($dough->end->modify('+30 minutes')->modify("+$minutes minutes"), $over->steps['balls/1/rest']->ended);
        // What nobody has begun to wait for has not begun.
        $none = StepStates::of(self::plan(), [])->withWhatWaits(self::plan(), self::plan()->steps, $now, []);
        self::assertSame(StepState::NotYet, $none->steps['balls/1/rest']->state);
    }

    public function testAShareOfAPieceworkRunsOnAndNotDoneOfAGuessIsNotBegun(): void
    {
        $half = new \DateTimeImmutable('2031-11-15T16:00:00+05:30');
        $log = json_encode([
            'format' => 'feast-ladle/day-log',
            'version' => 1,
            'events' => [['id' => 'a', 'at' => $half->format('c'), 'kind' => 'done', 'step' => 'balls/1/shape', 'share' => 0.5]],
        ], \JSON_THROW_ON_ERROR);
        $states = StepStates::of(self::plan(), $this->reader()->read($log)->until($half));
        self::assertSame(StepState::Running, $states->steps['balls/1/shape']->state);
        self::assertSame(0.5, $states->steps['balls/1/shape']->share);

        $guessed = $this->after([[44, 'asha', 'done'], [45, 'asha', 'not-done']], 'basundi/1/boil');
        self::assertSame(StepState::NotYet, $guessed->steps['basundi/1/boil']->state);
    }

    public function testWhatIsSaidOfNoStepIsKeptApart(): void
    {
        $states = $this->after([[0, 'asha', 'done']], 'laddu/1/roll');
        self::assertSame(['e0'], array_map(static fn ($e): string => $e->id, $states->withoutStep));
        self::assertArrayNotHasKey('laddu/1/roll', $states->steps);
    }

    public function testWhatIsGivenUpIsOverAndStaysSo(): void
    {
        $states = $this->after([[0, 'asha', 'started'], [9, 'asha', 'given-up'], [11, 'nilu', 'done']], 'basundi/1/boil');
        self::assertSame(StepState::GivenUp, $states->steps['basundi/1/boil']->state);
    }

    private static function plan(): Plan
    {
        return self::$plan ??= (new FeastPlanner(Shipped::larder()))->plan(Shipped::feast(), Shipped::kitchen());
    }

    private function planned(string $id): PlannedStep
    {
        foreach (self::plan()->steps as $step) {
            if ($step->key->id() === $id) {
                return $step;
            }
        }
        self::fail($id);
    }

    /** @param list<array{int, string, string}> $said minutes after the milk was to be set on, by whom, what */
    private function after(array $said, string $step): StepStates
    {
        $start = $this->planned('basundi/1/boil')->start;
        $events = array_map(
            static fn (array $s): array => [$start->modify($s[0].' minutes'), $s[1], $s[2], $step],
            $said,
        );

        return StepStates::of(self::plan(), $this->log($events)->until($start->modify('+1 day')));
    }

    /** @param list<array{\DateTimeImmutable, string, string, string}> $events */
    private function log(array $events): DayLog
    {
        $document = ['format' => 'feast-ladle/day-log', 'version' => 1, 'events' => []];
        foreach ($events as $i => [$at, $by, $kind, $step]) {
            $document['events'][] = ['id' => 'e'.$i, 'at' => $at->format('c'), 'by' => $by, 'kind' => $kind, 'step' => $step];
        }

        return $this->reader()->read(json_encode($document, \JSON_THROW_ON_ERROR));
    }

    private function reader(): LogReader
    {
        return new LogReader(Shipped::feast(), Shipped::kitchen(), Shipped::larder());
    }
}
