<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** Something of which only so much can be in use at the same minute. */
final readonly class Resource
{
    /** @param list<array{int, int}> $calendar half-open intervals in which it is available, sorted; touching ones stay two */
    public function __construct(public string $id, public int $capacity, public int $turnover, public array $calendar)
    {
    }
}
