<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** Something that has to stand ready does. */
final readonly class ReadyTicked implements OfStep
{
    public function __construct(public string $step, public string $what)
    {
    }

    public function step(): string
    {
        return $this->step;
    }
}
