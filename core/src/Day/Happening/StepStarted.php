<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** Somebody began a step. */
final readonly class StepStarted implements OfStep
{
    public function __construct(public string $step)
    {
    }

    public function step(): string
    {
        return $this->step;
    }
}
