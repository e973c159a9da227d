<?php

declare(strict_types=1);

namespace FeastLadle\Solving;

/** A sweet that stands in the kitchen's warm place, or on a low flame that is free as long, until the last have eaten of it. */
final readonly class KeptHot
{
    /** @param string|null $burner burner id; null for the warm place */
    public function __construct(public ?string $burner, public \DateTimeImmutable $from, public \DateTimeImmutable $until)
    {
    }

    public function minutes(): float
    {
        return ($this->until->getTimestamp() - $this->from->getTimestamp()) / 60;
    }
}
