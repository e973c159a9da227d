<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Day\Happening\DishChanged;
use FeastLadle\Day\Happening\OfStep;
use FeastLadle\Day\Happening\StepDone;
use FeastLadle\Day\Happening\StepGivenUp;
use FeastLadle\Day\Happening\StepNotDone;
use FeastLadle\Day\Happening\StepStarted;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;

/** The steps of a plan as the log has them. */
final readonly class StepStates
{
    /**
     * @param array<string, StepProgress> $steps          of every step of the plan, by its id
     * @param list<Contradiction>         $contradictions
     * @param list<Event>                 $withoutStep    said of a step that the plan does not have
     * @param array<string, StepProgress> $jobs           of work that is no step, as packing, by activity
     */
    private function __construct(
        public array $steps,
        public array $contradictions,
        public array $withoutStep,
        public array $jobs = [],
    ) {
    }

    /** @param list<Event> $events in order */
    public static function of(Plan $plan, array $events): self
    {
        $before = StepsBefore::of($plan);
        $planned = $steps = [];
        foreach ($plan->steps as $step) {
            $planned[$step->key->id()] = $step;
            $steps[$step->key->id()] = StepProgress::notYet();
        }
        $contradictions = $withoutStep = [];
        $jobIds = self::jobIds($plan);
        $jobs = [];
        foreach ($events as $event) {
            if ($event->what instanceof DishChanged && $event->what->givenUp) {
                $steps = self::withoutDish($plan, $event, $event->what->dish, $steps);
            }
            if (!$event->what instanceof OfStep) {
                continue;
            }
            $id = $event->what->step();
            if (isset($jobIds[$id])) {
                [$activity, $minutes] = $jobIds[$id];
                $jobs[$activity] = self::job($jobs[$activity] ?? StepProgress::notYet(), $event, $minutes);
                continue;
            }
            $was = $steps[$id] ?? null;
            if (null === $was) {
                $withoutStep[] = $event;
                continue;
            }
            $said = $was->saidBy;
            if (
                $event->what instanceof StepNotDone
                && StepState::Done === $was->state
                && null !== $said
                && (null === $event->by || $event->by !== $said->by)
            ) {
                $contradictions[] = new Contradiction($said, $event);
            }
            $steps[$id] = match (true) {
                $event->what instanceof StepStarted => $was->state->isOver() ? $was : $was->begun($event->at),
                $event->what instanceof StepDone => self::done($was, $event, $event->what, $planned[$id], $steps, $planned),
                $event->what instanceof StepNotDone => null === $was->started ? StepProgress::notYet() : self::goesOn($was),
                $event->what instanceof StepGivenUp => new StepProgress(
                    StepState::GivenUp,
                    $was->started,
                    $event->at,
                    $was->share,
                    $event,
                ),
                default => $was,
            };
            if ($event->what instanceof StepStarted || $event->what instanceof StepDone) {
                $steps = self::withWhatIsBefore($planned[$id], $steps, $planned, $before);
            }
        }

        return new self($steps, $contradictions, $withoutStep, $jobs);
    }

    /** @return array<string, array{string, int}> activity and minutes of planned work that is no step, by what the log calls it */
    private static function jobIds(Plan $plan): array
    {
        $ids = [];
        foreach ($plan->jobs as $k => $job) {
            if (null !== $job->activity) {
                $of = [$job->activity, $job->endMinute - $job->startMinute];
                // By its own name, or as the plan document numbers it.
                $ids['job/'.substr((string) strrchr($job->activity, ':'), 1)] = $of;
                $ids['job/job-'.($k + 1)] = $of;
            }
        }

        return $ids;
    }

    private static function job(StepProgress $was, Event $event, int $minutes): StepProgress
    {
        return match (true) {
            $event->what instanceof StepStarted => $was->state->isOver() ? $was : $was->begun($event->at),
            $event->what instanceof StepDone => new StepProgress(
                StepState::Done,
                $was->started ?? $event->at->modify("-$minutes minutes"),
                $event->at,
                1.0,
                $event,
                null === $was->started,
            ),
            $event->what instanceof StepNotDone => StepProgress::notYet(),
            $event->what instanceof StepGivenUp => new StepProgress(StepState::GivenUp, $was->started, $event->at, 0.0, $event),
            default => $was,
        };
    }

    /**
     * Who begins a step has what it takes: a tick for what is before it was forgotten.
     *
     * @param array<string, StepProgress> $steps
     * @param array<string, PlannedStep>  $planned
     *
     * @return array<string, StepProgress>
     */
    private static function withWhatIsBefore(PlannedStep $step, array $steps, array $planned, StepsBefore $before): array
    {
        $at = $steps[$step->key->id()]->started;
        if (null === $at) {
            return $steps;
        }
        foreach ($before->all($step->key->id()) as $id) {
            if (!$steps[$id]->state->isOver()) {
                $began = $steps[$id]->started ?? self::began($planned[$id], $at, $steps, $planned);
                // What nobody stands at was over when it usually is, not when somebody came for it.
                $until = [] === $planned[$id]->people ? $began->modify($planned[$id]->minutes().' minutes') : $at;
                $steps[$id] = new StepProgress(StepState::Done, min($began, $at), min($until, $at), 1.0, null, true);
            }
        }

        return $steps;
    }

    /**
     * The same with what nobody has to stand at: it begins when what it takes is there, not before its time, and is over by itself.
     *
     * @param list<PlannedStep>  $steps  where the plan in force has them
     * @param array<string, int> $mended steps that are not over after all, by id
     */
    public function withWhatWaits(Plan $plan, array $steps, \DateTimeImmutable $now, array $mended): self
    {
        $before = StepsBefore::of($plan);
        $told = $steps;
        $steps = $this->steps;
        foreach ($told as $step) {
            $id = $step->key->id();
            $sources = $before->next($id);
            if ([] !== $step->people || [] === $sources || StepState::NotYet !== $steps[$id]->state) {
                continue;
            }
            $from = $step->start;
            foreach ($before->beside($id) as $source => $minutes) {
                if (null === $steps[$source]->started) {
                    continue 2;
                }
                $from = max($from, $steps[$source]->started->modify($minutes.' minutes'));
            }
            foreach ($sources as $source => $minutes) {
                if (StepState::Done !== $steps[$source]->state || isset($mended[$source])) {
                    continue 2;
                }
                $from = max($from, ($steps[$source]->ended ?? $from)->modify($minutes.' minutes'));
            }
            // It is looked at when it is taken up: until somebody says otherwise it took as long as it usually does.
            $until = $from->modify($step->minutes().' minutes');
            if ($from <= $now) {
                $steps[$id] = $until <= $now
                    ? new StepProgress(StepState::Done, $from, $until, 1.0, null, true)
                    : new StepProgress(StepState::Running, $from, startedIsGuess: true);
            }
        }

        return new self($steps, $this->contradictions, $this->withoutStep, $this->jobs);
    }

    /**
     * Nobody begins anything of a dish that is given up, nor of a base that nothing else takes; what runs is ended by who stands at it.
     *
     * @param array<string, StepProgress> $steps
     *
     * @return array<string, StepProgress>
     */
    private static function withoutDish(Plan $plan, Event $event, string $dish, array $steps): array
    {
        $given = [$dish];
        foreach (array_keys(($plan->quantities->dishes[$dish] ?? null)?->batchPlan->ledger->bases() ?? []) as $slug) {
            $takers = array_filter(
                $plan->quantities->dishes,
                static fn (PlannedDish $d): bool => $d->dish->id !== $dish && isset($d->batchPlan->ledger->bases()[$slug]),
            );
            if ([] === $takers) {
                $given[] = 'base-'.$slug;
            }
        }
        foreach ($plan->steps as $step) {
            $progress = $steps[$step->key->id()];
            if (\in_array($step->key->dish, $given, true) && StepState::NotYet === $progress->state) {
                $steps[$step->key->id()] = new StepProgress(StepState::GivenUp, null, $event->at, 0.0, $event);
            }
        }

        return $steps;
    }

    /** What was said to be done and is not, runs on; what nobody had begun is not begun. */
    private static function goesOn(StepProgress $before): StepProgress
    {
        $guessed = $before->saidBy?->what instanceof StepDone && $before->startedIsGuess;

        return $guessed ? StepProgress::notYet() : new StepProgress(StepState::Running, $before->started, null, $before->share);
    }

    /**
     * @param array<string, StepProgress> $steps
     * @param array<string, PlannedStep>  $planned
     */
    private static function done(
        StepProgress $before,
        Event $event,
        StepDone $done,
        PlannedStep $step,
        array $steps,
        array $planned,
    ): StepProgress {
        // What was only taken to be over is over when it is said.
        if ($before->state->isOver() && null !== $before->saidBy) {
            return $before;
        }
        $started = $before->started ?? self::began($step, $event->at, $steps, $planned);
        $guess = null === $before->started;
        if (null !== $done->share && $done->share < 1) {
            return new StepProgress(StepState::Running, $started, null, max($before->share, $done->share), null, $guess);
        }

        return new StepProgress(StepState::Done, $started, $event->at, 1.0, $event, $guess || $before->startedIsGuess);
    }

    /**
     * When what nobody said to begin began: as planned, or when its fire and hands were free; what was done before that, as long
     * before as it usually takes.
     *
     * @param array<string, StepProgress> $steps
     * @param array<string, PlannedStep>  $planned
     */
    private static function began(PlannedStep $step, \DateTimeImmutable $at, array $steps, array $planned): \DateTimeImmutable
    {
        $free = null;
        foreach ($steps as $id => $other) {
            $shares =
                (null !== $step->burner && $planned[$id]->burner === $step->burner)
                || [] !== array_intersect($planned[$id]->people, $step->people);
            if ($shares && null !== $other->ended && $other->ended <= $at) {
                $free = max($free ?? $other->ended, $other->ended);
            }
        }
        $wanted = $step->start < $at ? $step->start : $at->modify('-'.$step->minutes().' minutes');

        return min($at, max($wanted, $free ?? $wanted));
    }
}
