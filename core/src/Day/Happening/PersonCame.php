<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** Somebody is there. */
final readonly class PersonCame implements Happening
{
    public function __construct(public string $person, public ?\DateTimeImmutable $from, public ?\DateTimeImmutable $until)
    {
    }
}
