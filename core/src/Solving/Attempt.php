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

    public function isFeasible(): bool
    {
        return SolutionStatus::Feasible === $this->plan->solution->status;
    }

    /** Whether a dish is late, or left out for lack of room: less room before the moments may help it then. */
    public function isCramped(): bool
    {
        return $this->plan->isLate()
            || [] !== array_filter($this->leftOut, static fn (Obstacle $o): bool => self::NO_ROOM === $o->sentence->id);
    }

    /** Of two tries the one with more dishes, then the one less late; this one where they are alike. */
    public function orBetter(self $other): self
    {
        $lacks = static fn (self $a): array => [
            $a->isFeasible() ? 0 : 1,
            \count($a->leftOut),
            array_sum(array_map(static fn (DishTiming $t): int => $t->lateMinutes, $a->plan->timings)),
        ];

        return $lacks($other) < $lacks($this) ? $other : $this;
    }
}
