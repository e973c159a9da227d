<?php

declare(strict_types=1);

namespace FeastLadle\Feast;

/** A fire, a vessel or a person that is wanted for something else from then to then: rice for the hall, a lesson, an errand. */
final readonly class OtherWork
{
    public function __construct(public string $name, public string $on, public \DateTimeImmutable $from, public \DateTimeImmutable $to)
    {
    }
}
