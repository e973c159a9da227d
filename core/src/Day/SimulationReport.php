<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Explaining\MomentChances;

/** What many simulated days came to, with the day planned anew and by the first plan in its order, on the same draws. */
final readonly class SimulationReport
{
    /**
     * @param array<string, array{list<int>, list<int>}> $late       minutes late in each run, with and without, by moment
     * @param list<Violation>                            $violations
     * @param list<float>                                $replanMs   milliseconds of each plan from here, where they were measured
     * @param int                                        $healed     slips after which the sweet was still there at its moment
     */
    public function __construct(
        public int $seed,
        public int $runs,
        public MomentChances $with,
        public MomentChances $without,
        public array $late,
        public int $events,
        public array $violations,
        public array $replanMs,
        public SlipRate $slips = SlipRate::None,
        public int $slipsDrawn = 0,
        public int $healed = 0,
    ) {
    }
}
