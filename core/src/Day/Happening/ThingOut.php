<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** A fire, vessel or tool is not to be had. */
final readonly class ThingOut implements Happening
{
    public function __construct(public string $thing, public ?\DateTimeImmutable $from, public ?\DateTimeImmutable $until)
    {
    }
}
