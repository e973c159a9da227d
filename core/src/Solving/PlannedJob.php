<?php

declare(strict_types=1);

namespace FeastLadle\Solving;

/** Work that is no step of a recipe: boxes packed, a fire lent, somebody away. */
final readonly class PlannedJob
{
    /**
     * @param list<string> $people   person ids
     * @param string|null  $activity its id in the schedule problem; null where it stands where it was entered
     * @param bool         $planned  whether the planner placed it; otherwise it stands where it was entered
     */
    public function __construct(
        public string $name,
        public int $startMinute,
        public int $endMinute,
        public \DateTimeImmutable $start,
        public \DateTimeImmutable $end,
        public array $people,
        public ?string $burner,
        public bool $planned,
        public ?string $activity = null,
    ) {
    }
}
