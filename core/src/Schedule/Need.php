<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** What an activity or a hold takes: some of these resources, or the ones chosen for another need. */
final readonly class Need
{
    /**
     * @param list<string>       $from      empty when sameAs is set
     * @param array<string, int> $durations likely duration of the activity by chosen resource
     */
    public function __construct(
        public array $from,
        public int $count = 1,
        public int $units = 1,
        public array $durations = [],
        public ?NeedReference $sameAs = null,
    ) {
    }
}
