<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** One part of a bowl that goes in by parts. */
final readonly class PartIn implements OfStep
{
    public function __construct(public string $step, public int $bowl, public int $part)
    {
    }

    public function step(): string
    {
        return $this->step;
    }
}
