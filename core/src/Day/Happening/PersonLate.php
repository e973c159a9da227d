<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** Somebody comes later than planned. */
final readonly class PersonLate implements Happening
{
    public function __construct(public string $person, public ?\DateTimeImmutable $from, public ?\DateTimeImmutable $until)
    {
    }
}
