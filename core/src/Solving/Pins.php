<?php

declare(strict_types=1);

namespace FeastLadle\Solving;

use FeastLadle\Feast\Feast;

/** A step held at a time, as the feast document writes it: so many days from the feast's day, and a time of its clock. */
final class Pins
{
    private const MOST_MINUTES = 7 * 24 * 60;

    /**
     * @return array{step: string, day: int, time: string}|null held so many minutes from where it stands; null for a step
     *     that is not planned
     */
    public static function moved(Plan $plan, Feast $feast, string $activity, int $minutes): ?array
    {
        foreach ($plan->steps as $step) {
            if ($step->activity === $activity && abs($minutes) <= self::MOST_MINUTES) {
                $start = $step->start->setTimezone($feast->timeZone)->modify(\sprintf('%+d minutes', $minutes));
                $day = static fn (\DateTimeImmutable $at): \DateTimeImmutable => new \DateTimeImmutable(
                    $at->setTimezone($feast->timeZone)->format('Y-m-d'),
                    new \DateTimeZone('UTC'),
                );

                return [
                    'step' => $activity,
                    'day' => (int) $day($feast->firstMoment()->at)->diff($day($start))->format('%r%a'),
                    'time' => $start->format('H:i'),
                ];
            }
        }

        return null;
    }
}
