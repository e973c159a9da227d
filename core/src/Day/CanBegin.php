<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Modelling\TimeAxis;
use FeastLadle\Schedule\Link;
use FeastLadle\Schedule\Problem;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;

/** Which steps may begin now: all they take is there, and what they are planned on is free. */
final class CanBegin
{
    /** @var array<string, array{StepProgress, string}> by activity, with the step's id */
    private array $progress = [];

    /** @var array<string, int> units that running steps take, by resource */
    private array $taken = [];

    public function __construct(
        Plan $plan,
        StepStates $states,
        private readonly Problem $problem,
        private readonly int $now,
        private readonly TimeAxis $axis,
    ) {
        $uses = $plan->solution->activities;
        foreach ($plan->steps as $step) {
            $progress = $states->steps[$step->key->id()];
            $this->progress[$step->activity] = [$progress, $step->key->id()];
            foreach (StepState::Running === $progress->state ? $uses[$step->activity]->uses : [] as $k => $resources) {
                foreach ($resources as $resource) {
                    $this->taken[$resource] =
                        ($this->taken[$resource] ?? 0) + $this->problem->activities[$step->activity]->needs[$k]->units;
                }
            }
        }
        $this->uses = array_map(static fn ($p): array => $p->uses, $uses);
    }

    /** @var array<string, list<list<string>>> as planned, by activity */
    private array $uses;

    public function may(PlannedStep $step): bool
    {
        foreach ($this->problem->links as $link) {
            if ($link->to === $step->activity && !$link->type->toEnd() && !$this->isKept($link)) {
                return false;
            }
        }
        foreach ($this->problem->activities[$step->activity]->needs as $k => $need) {
            foreach ($this->uses[$step->activity][$k] ?? [] as $resource) {
                if (($this->taken[$resource] ?? 0) + $need->units > $this->problem->resources[$resource]->capacity) {
                    return false;
                }
            }
        }

        return true;
    }

    private function isKept(Link $link): bool
    {
        [$from] = $this->progress[$link->from] ?? [null];
        if (null === $from) {
            // A marker of the model: nobody says that it began.
            return true;
        }
        $since = $link->type->fromEnd() ? $from->ended : $from->started;

        return null !== $since && $this->axis->minute($since) + $link->min <= $this->now;
    }
}
