<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** The ideal end, and what a minute costs before and after it. */
final readonly class Due
{
    public function __construct(public int $at, public int $early, public int $late)
    {
    }

    public function cost(int $end): int
    {
        return $end < $this->at ? ($this->at - $end) * $this->early : ($end - $this->at) * $this->late;
    }
}
