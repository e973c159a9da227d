<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Schedule\Resource;

/** Fires, vessels, people, tools and space of a kitchen as resources, each in the hours in which it is there. */
final readonly class Resources
{
    private const WASHING_MINUTES = 4;

    /** Anybody at all, in the hours in which there is one: for what is begun and then left alone. */
    public const SOMEBODY = 'somebody';

    private const MOST_BEGUN_AT_ONCE = 1000;

    public function __construct(private Feast $feast, private Kitchen $kitchen, private TimeAxis $axis)
    {
    }

    /**
     * @return array<string, resource>
     */
    public function all(): array
    {
        $resources = [];
        $always = [[0, $this->axis->horizonEnd]];
        $lent = [];
        foreach ($this->feast->otherWork as $work) {
            $lent[$work->on][] = [$this->axis->minute($work->from), $this->axis->minute($work->to)];
        }
        foreach ($this->kitchen->burners as $burner) {
            $resources[$burner->id] = new Resource($burner->id, 1, 0, Calendar::without($always, $lent[$burner->id] ?? []));
        }
        foreach ($this->kitchen->vessels as $vessel) {
            $resources[$vessel->id] = new Resource(
                $vessel->id,
                1,
                self::WASHING_MINUTES,
                Calendar::without($always, $lent[$vessel->id] ?? []),
            );
        }
        foreach ($this->kitchen->people as $person) {
            $resources[$person->id] = new Resource(
                $person->id,
                100,
                0,
                Calendar::without($this->calendar($person->id), $lent[$person->id] ?? []),
            );
        }
        if ([] !== $this->feast->shifts) {
            $resources[self::SOMEBODY] = new Resource(
                self::SOMEBODY,
                self::MOST_BEGUN_AT_ONCE,
                0,
                Calendar::merged(
                    array_merge(
                        ...array_map(fn ($p): array => $this->calendar($p->id), array_values($this->kitchen->people)),
                    ),
                ),
            );
        }
        foreach ($this->kitchen->tools as $tool) {
            $resources[StepNeeds::TOOL.$tool->id] = new Resource(
                StepNeeds::TOOL.$tool->id,
                1,
                (int) ceil($tool->restMinutes),
                $always,
            );
        }
        if ($this->kitchen->storeroom->dryingM2 >= 0.01) {
            // In square decimetres: the scheduler counts whole units.
            $resources[StepNeeds::DRYING] = new Resource(
                StepNeeds::DRYING,
                (int) floor(100 * $this->kitchen->storeroom->dryingM2),
                0,
                $always,
            );
        }
        if ($this->kitchen->storeroom->coldLitres >= 1) {
            $resources[StepNeeds::COLD] = new Resource(StepNeeds::COLD, (int) floor($this->kitchen->storeroom->coldLitres), 0, $always);
        }

        return $resources;
    }

    /**
     * @return list<array{int, int}>
     */
    private function calendar(string $person): array
    {
        $intervals = [];
        foreach ($this->feast->shifts as $shift) {
            $from = max(0, $this->axis->minute($shift->from));
            $to = min($this->axis->horizonEnd, $this->axis->minute($shift->to));
            if ($shift->person === $person && $from < $to) {
                $intervals[] = [$from, $to];
            }
        }

        return Calendar::merged($intervals);
    }
}
