<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Day\Happening\PersonCame;
use FeastLadle\Day\Happening\PersonLate;
use FeastLadle\Day\Happening\PersonLeft;
use FeastLadle\Day\Happening\ThingBack;
use FeastLadle\Day\Happening\ThingOut;
use FeastLadle\Modelling\Calendar;
use FeastLadle\Modelling\ScheduleModel;
use FeastLadle\Modelling\StepNeeds;
use FeastLadle\Modelling\TimeAxis;
use FeastLadle\Schedule\Resource;

/** Who and what is there when, as the day has it: people leave, are late and come, fires and pots go out and are back. */
final class Presence
{
    /** @param list<Event> $events in order */
    public static function in(ScheduleModel $model, array $events): ScheduleModel
    {
        $problem = $model->problem;
        $resources = $problem->resources;
        foreach ($events as $event) {
            $what = $event->what;
            $id = match (true) {
                $what instanceof PersonLeft, $what instanceof PersonLate, $what instanceof PersonCame => $what->person,
                $what instanceof ThingOut, $what instanceof ThingBack => isset($resources[$what->thing])
                    ? $what->thing
                    : StepNeeds::TOOL.$what->thing,
                default => null,
            };
            if (null === $id || !isset($resources[$id])) {
                continue;
            }
            $was = $resources[$id];
            $calendar = match (true) {
                $what instanceof PersonLeft, $what instanceof ThingOut => Calendar::without($was->calendar, [
                    self::span($model->axis, $what->from ?? $event->at, $what->until),
                ]),
                // Late is said of the shift that has not begun, or of one that should have.
                $what instanceof PersonLate => Calendar::without($was->calendar, [
                    self::span($model->axis, $what->from ?? $model->axis->origin, $what->until),
                ]),
                default => self::there($was, self::span($model->axis, $what->from ?? $event->at, $what->until)),
            };
            $resources[$id] = new Resource($was->id, $was->capacity, $was->turnover, $calendar);
        }

        return $resources === $problem->resources ? $model : $model->withProblem($problem->with(resources: $resources));
    }

    /** @return array{int, int} until the end of all, where nothing is said */
    private static function span(TimeAxis $axis, \DateTimeImmutable $from, ?\DateTimeImmutable $until): array
    {
        $start = max(0, min($axis->horizonEnd - 1, $axis->minute($from)));

        return [$start, max($start + 1, null === $until ? $axis->horizonEnd : min($axis->horizonEnd, $axis->minute($until)))];
    }

    /**
     * @param array{int, int} $span
     *
     * @return list<array{int, int}>
     */
    private static function there(Resource $was, array $span): array
    {
        return Calendar::merged([...$was->calendar, $span]);
    }
}
