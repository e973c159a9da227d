<?php

declare(strict_types=1);

namespace FeastLadle\Feast;

use FeastLadle\Portion\Group;

/** A feast as it is wanted: who comes, when, what they eat, who cooks. */
final readonly class Feast
{
    /**
     * @param non-empty-list<Group>             $groups
     * @param non-empty-list<Moment>            $moments       by time
     * @param list<Shift>                       $shifts
     * @param list<Dish>                        $dishes
     * @param list<Box>                         $boxes
     * @param list<string>                      $rules         ids of the kitchen's rules that hold for everything
     * @param int                               $marginMinutes by how much before its moment everything is planned to be ready
     * @param array<string, \DateTimeImmutable> $pins          steps that are held at a time, by their id in the plan
     * @param list<OtherWork>                   $otherWork     fires, vessels and people that are wanted for something else
     * @param string|null                       $date          from which days are counted, as 2031-11-15
     */
    public function __construct(
        public string $name,
        public \DateTimeZone $timeZone,
        public ?float $plateCapGrams,
        public array $groups,
        public array $moments,
        public array $shifts,
        public array $dishes,
        public array $boxes = [],
        public array $rules = [],
        public int $marginMinutes = 0,
        public array $pins = [],
        public array $otherWork = [],
        public ?string $date = null,
    ) {
    }

    public function withShift(Shift $shift): self
    {
        return $this->with(shifts: [...$this->shifts, $shift]);
    }

    /** @param non-empty-list<Moment> $moments by time */
    public function withMoments(array $moments): self
    {
        return $this->with(moments: $moments);
    }

    /** Whether anything is wished to be ready before its moment. */
    public function wishesRoom(): bool
    {
        return $this->marginMinutes > 0 || [] !== array_filter($this->dishes, static fn (Dish $d): bool => $d->readyEarlier > 0);
    }

    /** The same feast, with everything ready at its moment and no sooner. */
    public function atTheMinute(): self
    {
        return $this->with(dishes: array_map(static fn (Dish $d): Dish => $d->atTheMinute(), $this->dishes), marginMinutes: 0);
    }

    /**
     * @param non-empty-list<Moment>|null $moments
     * @param list<Shift>|null            $shifts
     * @param list<Dish>|null             $dishes
     */
    private function with(?array $moments = null, ?array $shifts = null, ?array $dishes = null, ?int $marginMinutes = null): self
    {
        return new self(
            $this->name,
            $this->timeZone,
            $this->plateCapGrams,
            $this->groups,
            $moments ?? $this->moments,
            $shifts ?? $this->shifts,
            $dishes ?? $this->dishes,
            $this->boxes,
            $this->rules,
            $marginMinutes ?? $this->marginMinutes,
            $this->pins,
            $this->otherWork,
            $this->date,
        );
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

    /** The moment at which a group eats. */
    public function momentOf(Group $group): Moment
    {
        $first = null;
        foreach ($this->moments as $moment) {
            if ($moment->id === $group->at) {
                return $moment;
            }
            if (null === $first && MomentKind::Sitting === $moment->kind) {
                $first = $moment;
            }
        }

        return $first ?? $this->lastMoment();
    }

    /** How sweet all would have it if one pot serves them: weighed by what they eat. */
    public function meanSweet(): float
    {
        $eaten = array_sum(array_map(static fn (Group $g): float => $g->count * $g->appetite, $this->groups));

        return array_sum(array_map(static fn (Group $g): float => $g->count * $g->appetite * $g->sweet, $this->groups)) / $eaten;
    }

    /** What the boxes hold of a dish, in grams or pieces. */
    public function inBoxes(Dish $dish): float
    {
        return array_sum(array_map(static fn (Box $b): float => $b->count * ($b->holds[$dish->id] ?? 0.0), $this->boxes));
    }
}
