<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

use FeastLadle\Amounts\BatchFlow;
use FeastLadle\Feast\Moment;
use FeastLadle\Schedule\Problem;

/** A feast as a schedule problem, and what its activities stand for. */
final readonly class ScheduleModel
{
    /**
     * @param array<string, StepKey>   $steps     by activity id; markers are not in it
     * @param array<string, string>    $lastOf    activity id → dish id, for the steps that finish a dish
     * @param list<Obstacle>           $obstacles dishes left out, and why
     * @param array<string, Moment>    $momentOf  activity id → the moment it must meet, for the same
     * @param array<string, BatchFlow> $flows     by dish, how its batches go
     * @param list<Window>             $windows   that may be overrun, as nothing else holds
     */
    private function __construct(
        public Problem $problem,
        public TimeAxis $axis,
        public array $steps,
        public array $lastOf,
        public array $obstacles,
        public array $momentOf,
        public array $flows,
        public array $windows,
    ) {
    }

    public static function of(Problem $problem, TimeAxis $axis, ModelParts $parts): self
    {
        return new self(
            $problem,
            $axis,
            $parts->steps,
            $parts->lastOf,
            $parts->obstacles,
            $parts->momentOf,
            $parts->flows,
            $parts->windows,
        );
    }

    /** The same activities among other resources: somebody left, a fire is out. */
    public function withProblem(Problem $problem): self
    {
        return new self(
            $problem,
            $this->axis,
            $this->steps,
            $this->lastOf,
            $this->obstacles,
            $this->momentOf,
            $this->flows,
            $this->windows,
        );
    }

    /** @param list<Obstacle> $obstacles */
    public function withObstacles(array $obstacles): self
    {
        return new self(
            $this->problem,
            $this->axis,
            $this->steps,
            $this->lastOf,
            [...$this->obstacles, ...$obstacles],
            $this->momentOf,
            $this->flows,
            $this->windows,
        );
    }
}
