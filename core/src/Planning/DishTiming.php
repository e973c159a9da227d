<?php

declare(strict_types=1);

namespace FeastLadle\Planning;

/** When a dish is ready, against its moment. */
final readonly class DishTiming
{
    /** @param list<Obstacle> $reasons why it is late, proven or found by trying; empty when it is in time */
    public function __construct(public string $dish, public \DateTimeImmutable $ready, public \DateTimeImmutable $due, public int $lateMinutes, public array $reasons)
    {
    }
}
