<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

use FeastLadle\Amounts\Quantities;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Schedule\Conflict;
use FeastLadle\Schedule\ConflictKind;

/** What stands in the way of a plan, told in a cook's words: the steps by their titles, the things by their names. */
final readonly class ConflictTeller
{
    /** So many steps are named. */
    private const MOST_NAMED = 4;

    public function __construct(private ScheduleModel $model, private Quantities $quantities, private Kitchen $kitchen)
    {
    }

    /** @param string $dish whose own it is, planned with nothing beside it; "" for the whole menu's */
    public function tell(Conflict $conflict, string $dish = ''): Obstacle
    {
        $values = [
            'steps' => implode(', ', \array_slice($this->titles($conflict), 0, self::MOST_NAMED)),
            'things' => ResourceNames::list($this->kitchen, $conflict->resources),
            'there' => \count($conflict->resources),
        ];

        return new Obstacle(
            $dish,
            match ($conflict->kind) {
                ConflictKind::Hold => 'At "{steps}" its batches stand full at once, and only {there} can hold them: {things}.',
                ConflictKind::Resource => 'There is not enough of {things} for: {steps}.',
                ConflictKind::Calendar => 'No shift is long enough for: {steps}.',
                ConflictKind::Need => 'There are too few for "{steps}": {things}.',
                ConflictKind::Link => '' === $dish
                    ? 'No time is left in which one can follow the other: {steps}.'
                    : 'At this size these take longer than what is before them keeps: {steps}.',
                ConflictKind::Search => 'In no order can these be done by these hands, fires and pots: {steps}.',
                default => match (true) {
                    '' !== $dish => 'It can\'t be done in this kitchen by these hands, even alone: {steps}.',
                    ConflictKind::Budget === $conflict->kind => 'Many orders were tried; the last for which no room was found: {steps}.',
                    '' !== $values['steps'] => 'There is no time at which the hands, pots and fires they need are there: {steps}.',
                    default => 'Its times contradict one another.',
                },
            },
            $values,
            match ($conflict->kind) {
                ConflictKind::Hold => ObstacleKind::Vessel,
                ConflictKind::Resource, ConflictKind::Need => ResourceNames::kind($this->kitchen, ...$conflict->resources),
                ConflictKind::Calendar => ObstacleKind::Hands,
                default => ObstacleKind::Window,
            },
        );
    }

    /** @return list<string> each once */
    private function titles(Conflict $conflict): array
    {
        $titles = [];
        foreach ($conflict->activities as $id) {
            $key = $this->model->steps[$id] ?? null;
            if (null !== $key) {
                $titles[$this->quantities->dishes[$key->dish]->dish->recipe->step($key->step)->title] = true;
            }
        }

        return array_keys($titles);
    }
}
