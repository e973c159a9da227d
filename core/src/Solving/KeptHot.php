<?php

declare(strict_types=1);

namespace FeastLadle\Solving;

/** A sweet that stands on a low flame, which is free as long, until the last have eaten of it. */
final readonly class KeptHot
{
    /** @param string $burner burner id */
    public function __construct(public string $burner, public \DateTimeImmutable $from, public \DateTimeImmutable $until)
    {
    }

    public function minutes(): float
    {
        return ($this->until->getTimestamp() - $this->from->getTimestamp()) / 60;
    }
}
