<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Words\Sentence;

/** The cooking day in one minute: all of it follows from the plan it began with and the events until then. */
final readonly class DayState
{
    /**
     * @param Plan                        $plan           from here on, done steps where they really were
     * @param list<StepNow>               $steps          in the order of the plan
     * @param list<VesselNow>             $vessels        that something stands in
     * @param list<HoldNow>               $holds
     * @param list<MomentNow>             $moments
     * @param list<Contradiction>         $contradictions
     * @param list<Event>                 $withoutStep
     * @param Sentence|null               $stuck          why nothing was found that goes from here; the plan is the last one then
     * @param list<SlipNow>               $slips          that nobody has answered
     * @param array<string, StepProgress> $jobs           work that is no step, by activity
     * @param array<string, PortionNow>   $portions       what of each dish there is for each, by dish
     */
    public function __construct(
        public \DateTimeImmutable $at,
        public Plan $plan,
        public array $steps,
        public array $vessels,
        public array $holds,
        public array $moments,
        public array $contradictions,
        public ?Proposal $proposal,
        public array $withoutStep,
        public ?Sentence $stuck,
        public array $slips = [],
        public array $portions = [],
        public array $jobs = [],
    ) {
    }

    /** @return list<array{StepNow, PlannedStep}> each step with where it stands in the plan from here */
    public function placed(): array
    {
        $from = [];
        foreach ($this->plan->steps as $step) {
            $from[$step->activity] = $step;
        }

        return array_map(
            static fn (StepNow $s): array => [$s, $from[$s->planned->activity] ?? $s->planned],
            $this->steps,
        );
    }
}
