<?php

declare(strict_types=1);

namespace FeastLadle\Portion;

/** Guests of one kind. */
final readonly class Group
{
    public const MOST_GUESTS = 100_000;

    public function __construct(public string $id, public string $name, public int $count, public float $appetite)
    {
    }
}
