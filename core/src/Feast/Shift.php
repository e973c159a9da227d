<?php

declare(strict_types=1);

namespace FeastLadle\Feast;

/** When a person is there to work. */
final readonly class Shift
{
    public function __construct(public string $person, public \DateTimeImmutable $from, public \DateTimeImmutable $to)
    {
    }

    /**
     * How many of these people there are at the same time at the most.
     *
     * @param list<self>   $shifts
     * @param list<string> $people
     */
    public static function mostAtOnce(array $shifts, array $people): int
    {
        $most = 0;
        foreach ($shifts as $begins) {
            $there = [];
            foreach ($shifts as $shift) {
                if ($shift->from <= $begins->from && $begins->from < $shift->to && \in_array($shift->person, $people, true)) {
                    $there[$shift->person] = true;
                }
            }
            $most = max($most, \count($there));
        }

        return $most;
    }
}
