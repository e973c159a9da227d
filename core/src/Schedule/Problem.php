<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** A scheduling problem that hangs together: every id it names exists. Times are whole units from an origin. */
final readonly class Problem
{
    public const FORMAT = 'feast-ladle/schedule-problem';
    public const VERSION = 1;

    /**
     * @param array<string, Resource> $resources
     * @param array<string, Activity> $activities
     * @param list<Link>              $links
     * @param array<string, Hold>     $holds
     */
    public function __construct(
        public int $horizonStart,
        public int $horizonEnd,
        public int $unitSeconds,
        public array $resources,
        public array $activities,
        public array $links,
        public array $holds,
        public Objective $objective,
    ) {
    }

    /** @return array<string, Activity> what is late when it ends after its due time, by id */
    public function due(): array
    {
        return array_filter($this->activities, static fn (Activity $a): bool => null !== $a->due && $a->due->late > 0);
    }

    /**
     * The same with other resources, activities or links.
     *
     * @param array<string, Resource>|null $resources
     * @param array<string, Activity>|null $activities
     * @param list<Link>|null              $links
     */
    public function with(?array $resources = null, ?array $activities = null, ?array $links = null): self
    {
        return new self(
            $this->horizonStart,
            $this->horizonEnd,
            $this->unitSeconds,
            $resources ?? $this->resources,
            $activities ?? $this->activities,
            $links ?? $this->links,
            $this->holds,
            $this->objective,
        );
    }

    /**
     * Follows sameAs to the need that really chooses.
     *
     * @return array{string, Need} where that need stands, and the need; equal needs in two places are two choices
     */
    public function root(NeedReference $place): array
    {
        do {
            $need = ($place->ofHold ? $this->holds[$place->id] : $this->activities[$place->id])->needs[$place->need];
            $key = ($place->ofHold ? 'hold ' : 'activity ').$place->id.' '.$place->need;
            $place = $need->sameAs;
        } while (null !== $place);

        return [$key, $need];
    }
}
