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
     * @param \DateTimeImmutable       $origin    minute 0 of the problem
     * @param array<string, StepKey>   $steps     by activity id; markers are not in it
     * @param array<string, string>    $lastOf    activity id → dish id, for the steps that finish a dish
     * @param list<Obstacle>           $obstacles dishes left out, and why
     * @param array<string, Moment>    $momentOf  activity id → the moment it must meet, for the same
     * @param array<string, BatchFlow> $flows     by dish, how its batches go
     */
    public function __construct(
        public Problem $problem,
        public \DateTimeImmutable $origin,
        public array $steps,
        public array $lastOf,
        public array $obstacles,
        public array $momentOf,
        public array $flows,
    ) {
    }

    public function instant(int $minute): \DateTimeImmutable
    {
        // Seconds since the epoch, so that a clock change in between cannot shift it.
        return $this->origin->setTimestamp($this->origin->getTimestamp() + 60 * $minute);
    }

    public function minute(\DateTimeImmutable $instant): int
    {
        return intdiv($instant->getTimestamp() - $this->origin->getTimestamp(), 60);
    }

    /** @param list<Obstacle> $obstacles */
    public function withObstacles(array $obstacles): self
    {
        return new self(
            $this->problem,
            $this->origin,
            $this->steps,
            $this->lastOf,
            [...$this->obstacles, ...$obstacles],
            $this->momentOf,
            $this->flows,
        );
    }
}
