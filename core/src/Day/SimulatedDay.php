<?php

declare(strict_types=1);

namespace FeastLadle\Day;

/** One day that was cooked through by simulated cooks. */
final readonly class SimulatedDay
{
    /**
     * @param array<string, int> $ends       minute of the plan in which each activity ended
     * @param list<Event>        $events     that were said
     * @param list<Violation>    $violations of what must always hold
     * @param list<string>       $slipped    the dish of each slip
     */
    public function __construct(public array $ends, public array $events, public array $violations, public array $slipped = [])
    {
    }
}
