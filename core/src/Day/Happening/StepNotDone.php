<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** A step that was said to be done is not. */
final readonly class StepNotDone implements OfStep
{
    public function __construct(public string $step)
    {
    }

    public function step(): string
    {
        return $this->step;
    }
}
