<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** What makes one schedule better than another: less of this. */
final readonly class Objective
{
    /** @param list<string>|null $spanOf null: all activities */
    private function __construct(public bool $makespan, public int $span, public ?array $spanOf)
    {
    }

    /** @param list<string>|null $spanOf */
    public static function justInTime(int $span = 0, ?array $spanOf = null): self
    {
        return new self(false, $span, $spanOf);
    }

    public static function makespan(): self
    {
        return new self(true, 0, null);
    }
}
