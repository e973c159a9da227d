<?php

declare(strict_types=1);

namespace FeastLadle\Feast;

use FeastLadle\Portion\Group;

/** A feast as it is wanted: who comes, when, what they eat, who cooks. */
final readonly class Feast
{
    /**
     * @param non-empty-list<Group>  $groups
     * @param non-empty-list<Moment> $moments by time
     * @param list<Shift>            $shifts
     * @param list<Dish>             $dishes
     */
    public function __construct(
        public string $name,
        public \DateTimeZone $timeZone,
        public ?float $plateCapGrams,
        public array $groups,
        public array $moments,
        public array $shifts,
        public array $dishes,
    ) {
    }

    public function withShift(Shift $shift): self
    {
        return new self($this->name, $this->timeZone, $this->plateCapGrams, $this->groups, $this->moments, [...$this->shifts, $shift], $this->dishes);
    }

    public function guests(): int
    {
        return array_sum(array_map(static fn (Group $g): int => $g->count, $this->groups));
    }

    public function firstMoment(): Moment
    {
        return $this->moments[0];
    }

    public function lastMoment(): Moment
    {
        return $this->moments[\count($this->moments) - 1];
    }

    public function bowls(): int
    {
        return array_sum(array_map(static fn (Moment $m): int => $m->bowls, $this->moments));
    }
}
