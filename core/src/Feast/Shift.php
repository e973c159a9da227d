<?php

declare(strict_types=1);

namespace FeastLadle\Feast;

/** When a person is there to work. */
final readonly class Shift
{
    public function __construct(public string $person, public \DateTimeImmutable $from, public \DateTimeImmutable $to)
    {
    }
}
