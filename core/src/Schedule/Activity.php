<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** One thing to be done without interruption. */
final readonly class Activity
{
    /** @param list<Need> $needs */
    public function __construct(
        public string $id,
        public DurationRange $duration,
        public array $needs,
        public int $earliestStart,
        public int $latestEnd,
        public ?Due $due,
    ) {
    }

    /** Units after its due time, and what is granted beyond it; 0 without one. */
    public function late(int $end, int $grace = 0): int
    {
        return null === $this->due ? 0 : max(0, $end - $this->due->at - $grace);
    }
}
