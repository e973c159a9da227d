<?php

declare(strict_types=1);

namespace App\Service;

use FeastLadle\Day\DayLog;
use FeastLadle\Day\DayState;
use FeastLadle\Day\Event;
use FeastLadle\Day\Fold;
use FeastLadle\Day\SimulatedDay;
use FeastLadle\Day\Simulator;
use FeastLadle\Day\SlipRate;
use FeastLadle\Larder\Larder;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Solving\Plan;

/** A cooking day played through by simulated cooks: the same log, fold and plans from here as on the day itself. */
final readonly class Rehearsal
{
    /** Minutes that are shown before the first step and after the last moment. */
    private const BEFORE = '-5 minutes';
    private const AFTER = '+20 minutes';

    public function __construct(private PlanStore $plans, private Larder $larder)
    {
    }

    public function isPossible(Plan $plan): bool
    {
        return SolutionStatus::Feasible === $plan->solution->status && [] !== $plan->steps;
    }

    /** The day of a number, the same each time it is asked for. */
    public function day(OpenFeast $open, Plan $plan, int $number, SlipRate $slips): SimulatedDay
    {
        return $this->plans->with(
            $open,
            $plan,
            "rehearsal.$number.$slips->value",
            fn (Plan $p): SimulatedDay => (new Simulator($open->feast, $open->kitchen, $this->larder, $p, null, $slips))
                ->day($number, 1, true),
        );
    }

    public function from(Plan $plan): \DateTimeImmutable
    {
        return $plan->steps[0]->start->modify(self::BEFORE);
    }

    /** How many minutes of it there are to see. */
    public function minutes(OpenFeast $open, Plan $plan, SimulatedDay $day): int
    {
        $last = $open->feast->lastMoment()->at;
        foreach ($day->events as $event) {
            $last = max($last, $event->at);
        }

        return (int) ceil(($last->modify(self::AFTER)->getTimestamp() - $this->from($plan)->getTimestamp()) / 60);
    }

    public function at(OpenFeast $open, Plan $plan, SimulatedDay $day, \DateTimeImmutable $now): DayState
    {
        return (new Fold($open->feast, $open->kitchen, $this->larder, $plan))->state(DayLog::of(self::until($day, $now)), $now);
    }

    /** @return list<Event> */
    public static function until(SimulatedDay $day, \DateTimeImmutable $now): array
    {
        return array_values(array_filter($day->events, static fn (Event $e): bool => $e->at <= $now));
    }
}
