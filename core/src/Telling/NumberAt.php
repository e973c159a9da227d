<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** A number of a text, or a range of numbers, and the tokens it takes up. */
final readonly class NumberAt
{
    /** @param int $next the token behind it */
    public function __construct(public float $from, public float $to, public int $first, public int $next)
    {
    }
}
