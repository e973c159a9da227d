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
}
