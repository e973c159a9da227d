<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Standing\HeldDish;
use FeastLadle\Standing\HoldTask;

/** A finished dish in this minute: how warm, and what its two clocks have counted. */
final readonly class HoldNow
{
    /** @param list<HoldTask> $tasks still to be done */
    public function __construct(
        public HeldDish $held,
        public float $celsius,
        public float $bandMinutes,
        public \DateTimeImmutable $until,
        public array $tasks,
    ) {
    }
}
