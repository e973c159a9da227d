<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;

/** What must hold in every minute of a simulated day: what is done or runs stays, nobody is told to have begun, nothing is lost. */
final class DayRules
{
    /** @var array<string, PlannedStep> by activity */
    private array $steps = [];

    public function __construct(private readonly Plan $plan)
    {
        foreach ($plan->steps as $step) {
            $this->steps[$step->activity] = $step;
        }
    }

    /**
     * @param array<string, int>  $starts
     * @param array<string, int>  $ends
     * @param array<string, true> $said   what is known to be over
     * @param list<Event>         $events
     *
     * @return list<Violation>
     */
    public function broken(PlanFromHere $here, array $starts, array $ends, array $said, int $now, int $run, array $events): array
    {
        $faults = [];
        $event = $events[\count($events) - 1]->id;
        foreach ($here->after->solution->activities as $id => $placement) {
            if (!isset($this->steps[$id])) {
                continue;
            }
            if (isset($said[$id]) && [$placement->start, $placement->end] !== [$starts[$id], $ends[$id]]) {
                $faults[] = new Violation("$id is done and moves", $run, $event);
            } elseif (isset($starts[$id]) && $placement->start !== $starts[$id]) {
                $faults[] = new Violation("$id runs and moves", $run, $event);
            } elseif (!isset($starts[$id]) && $placement->start < $now && [] !== $this->steps[$id]->people) {
                $faults[] = new Violation("$id is told to have begun", $run, $event);
            }
        }

        return $faults;
    }

    /**
     * @param list<Event>        $events
     * @param array<string, int> $ends
     *
     * @return list<Violation> what was said and is not in the state at the end
     */
    public function lost(array $events, array $ends, int $run): array
    {
        $states = StepStates::of($this->plan, $events);
        $lost = [];
        foreach ($this->steps as $id => $step) {
            $progress = $states->steps[$step->key->id()];
            $end = $this->plan->origin->modify("+{$ends[$id]} minutes");
            if (StepState::Done !== $progress->state || $progress->ended?->getTimestamp() !== $end->getTimestamp()) {
                $lost[] = new Violation("$id was said to be done and is not", $run, null);
            }
        }

        return $lost;
    }
}
