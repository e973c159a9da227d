<?php

declare(strict_types=1);

namespace FeastLadle\Solving;

use FeastLadle\Feast\Feast;
use FeastLadle\Modelling\Obstacle;
use FeastLadle\Modelling\ScheduleModel;
use FeastLadle\Schedule\SolutionStatus;

/** One try at planning a feast, with what it was made from. */
final readonly class Attempt
{
    public const NO_ROOM = 'No room was found for it beside the dishes before it on the menu: fires, pots or hands are taken.';

    /** @param list<Obstacle> $leftOut dishes that are left out so that the others find a plan, and why */
    public function __construct(public Feast $feast, public ScheduleModel $model, public Plan $plan, public array $leftOut)
    {
    }

    /** The same try with more known of its plan. */
    public function with(Plan $plan): self
    {
        return new self($this->feast, $this->model, $plan, $this->leftOut);
    }

    public function isFeasible(): bool
    {
        return SolutionStatus::Feasible === $this->plan->solution->status;
    }

    /**
     * Of two tries the one with more dishes, then the one that keeps more clocks and windows, then the one less late; this
     * one where they are alike.
     */
    public function orBetter(self $other): self
    {
        $lacks = static fn (self $a): array => [
            $a->isFeasible() ? 0 : 1,
            \count($a->plan->obstacles),
            \count($a->plan->clocks),
            \count($a->plan->overruns),
            array_sum(array_map(static fn (DishTiming $t): int => $t->lateMinutes, $a->plan->timings)),
        ];

        return $lacks($other) < $lacks($this) ? $other : $this;
    }
}
