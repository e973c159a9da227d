<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** When an activity happens, and which resources each of its needs takes. */
final readonly class Placement
{
    /** @param list<list<string>> $uses by need */
    public function __construct(public int $start, public int $end, public array $uses)
    {
    }
}
