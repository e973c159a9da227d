<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** Something that stands in the way, in the problem's own ids. */
final readonly class Conflict
{
    /**
     * @param list<string> $activities
     * @param list<string> $resources
     * @param list<int>    $links      indexes into the problem's links
     */
    public function __construct(
        public ConflictKind $kind,
        public string $text,
        public array $activities = [],
        public array $resources = [],
        public array $links = [],
    ) {
    }
}
