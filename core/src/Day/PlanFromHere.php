<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Modelling\ScheduleModel;
use FeastLadle\Solving\Plan;

/** The plan from a minute on, and what it was made from. */
final readonly class PlanFromHere
{
    /**
     * @param list<Event>                                         $events   that hold, in order
     * @param Plan                                                $after    without a schedule where nothing goes from here
     * @param ScheduleModel                                       $model    with who and what is there now
     * @param array<string, StepProgress>                         $done     by activity
     * @param array<string, array{\DateTimeImmutable, Remaining}> $running  since when, and what is left, by activity
     * @param Wishes                                              $wishes   what is wished now
     * @param WaysTaken                                           $taken    slips, ways, and what stands in the pots after them
     * @param Proposal|null                                       $proposal where it differs from the plan in force
     */
    public function __construct(
        public array $events,
        public Plan $after,
        public StepStates $states,
        public ScheduleModel $model,
        public array $done,
        public array $running,
        public ?Proposal $proposal,
        public Wishes $wishes,
        public WaysTaken $taken,
    ) {
    }
}
