<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

use FeastLadle\Schedule\Solution;

/**
 * How long what one activity gives should wait for another at the most, where a plan may let it wait longer: until that one begins, or,
 * where one piece comes after the other, until the last of them is done.
 */
final readonly class Window
{
    public function __construct(public string $from, public string $to, public int $minutes, public bool $ofItsEnd)
    {
    }

    /** By how many minutes a plan overruns it. */
    public function overrun(Solution $solution): int
    {
        $to = $solution->activities[$this->to];

        return max(0, ($this->ofItsEnd ? $to->end : $to->start) - $solution->activities[$this->from]->end - $this->minutes);
    }
}
