<?php

declare(strict_types=1);

namespace FeastLadle\Planning;

use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\Solution;

/** A feast, planned: quantities, and who does what when. */
final readonly class Plan
{
    /**
     * @param list<PlannedStep>         $steps     by start
     * @param array<string, DishTiming> $timings   by dish id
     * @param list<Obstacle>            $obstacles dishes that can't be cooked or placed at all, and why
     */
    public function __construct(
        public Quantities $quantities,
        public Problem $problem,
        public Solution $solution,
        public \DateTimeImmutable $origin,
        public array $steps,
        public array $timings,
        public array $obstacles,
    ) {
    }

    /** Whether everything is there, and in time. */
    public function isOnTime(): bool
    {
        return [] === $this->obstacles && !$this->isLate();
    }

    /** Whether a dish that is planned misses its moment. */
    public function isLate(): bool
    {
        foreach ($this->timings as $timing) {
            if ($timing->lateMinutes > 0) {
                return true;
            }
        }

        return false;
    }
}
