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
     */
    private function __construct(public array $steps, public array $contradictions, public array $withoutStep)
    {
    }

    /** @param list<Event> $events in order */
    public static function of(Plan $plan, array $events): self
    {
        $planned = $steps = [];
        foreach ($plan->steps as $step) {
            $planned[$step->key->id()] = $step;
            $steps[$step->key->id()] = StepProgress::notYet();
        }
        $contradictions = $withoutStep = [];
        foreach ($events as $event) {
            if ($event->what instanceof DishChanged && $event->what->givenUp) {
                $steps = self::withoutDish($plan, $event, $event->what->dish, $steps);
            }
            if (!$event->what instanceof OfStep) {
                continue;
            }
            $id = $event->what->step();
            $before = $steps[$id] ?? null;
            if (null === $before) {
                $withoutStep[] = $event;
                continue;
            }
            $said = $before->saidBy;
            if (
                $event->what instanceof StepNotDone
                && StepState::Done === $before->state
                && null !== $said
                && (null === $event->by || $event->by !== $said->by)
            ) {
                $contradictions[] = new Contradiction($said, $event);
            }
            $steps[$id] = match (true) {
                $event->what instanceof StepStarted => $before->state->isOver() ? $before : $before->begun($event->at),
                $event->what instanceof StepDone => self::done($before, $event, $event->what, $planned[$id], $steps, $planned),
                $event->what instanceof StepNotDone => null === $before->started ? StepProgress::notYet() : self::goesOn($before),
                $event->what instanceof StepGivenUp => new StepProgress(
                    StepState::GivenUp,
                    $before->started,
                    $event->at,
                    $before->share,
                    $event,
                ),
                default => $before,
            };
        }

        return new self($steps, $contradictions, $withoutStep);
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
        if ($before->state->isOver()) {
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
