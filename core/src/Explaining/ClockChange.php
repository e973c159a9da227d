<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Words\Sentence;

/** Clocks that are put on or back while a plan runs: the same time of day comes twice, or not at all. */
final readonly class ClockChange
{
    /**
     * @param \DateTimeImmutable $at      by the clock that holds from then on
     * @param string             $before  the time of day by the clock that held until then
     * @param int                $minutes by which clocks are put on; below nought: back
     */
    private function __construct(public \DateTimeImmutable $at, public string $before, public int $minutes)
    {
    }

    /** @return list<self> between the first step and the last */
    public static function during(Plan $plan, \DateTimeZone $zone): array
    {
        $found = [];
        if ([] === $plan->steps) {
            return $found;
        }
        $from = $plan->steps[0]->start->getTimestamp();
        $to = max(array_map(static fn (PlannedStep $s): int => $s->end->getTimestamp(), $plan->steps));
        // The first row is no change, but how things stand at the beginning; a zone that is an offset has none at all.
        $transitions = $zone->getTransitions($from, $to) ?: [];
        foreach (\array_slice($transitions, 1) as $i => $transition) {
            $minutes = intdiv($transition['offset'] - $transitions[$i]['offset'], 60);
            if (0 !== $minutes) {
                $found[] = new self(
                    (new \DateTimeImmutable('@'.$transition['ts']))->setTimezone($zone),
                    (new \DateTimeImmutable('@'.($transition['ts'] + $transitions[$i]['offset'])))->format('H:i'),
                    $minutes,
                );
            }
        }

        return $found;
    }

    public function sentence(): Sentence
    {
        return new Sentence(
            $this->minutes < 0
                ? 'At {before} the clocks are put back by {minutes} min to {after}. What follows is told in the new time.'
                : 'At {before} the clocks are put on by {minutes} min to {after}. What follows is told in the new time.',
            [
                'before' => $this->before,
                'after' => $this->at->format('H:i'),
                'minutes' => abs($this->minutes),
            ],
        );
    }
}
