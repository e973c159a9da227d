<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** Nobody does this step any more. */
final readonly class StepGivenUp implements OfStep
{
    public function __construct(public string $step)
    {
    }

    public function step(): string
    {
        return $this->step;
    }
}
