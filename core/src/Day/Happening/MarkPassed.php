<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** A minute or sign inside a step has passed. */
final readonly class MarkPassed implements OfStep
{
    public function __construct(public string $step, public int $mark)
    {
    }

    public function step(): string
    {
        return $this->step;
    }
}
