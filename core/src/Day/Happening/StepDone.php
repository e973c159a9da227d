<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** A step is done, or the told share of a piecework. */
final readonly class StepDone implements OfStep
{
    public function __construct(public string $step, public ?float $grams, public ?float $pieces, public ?float $share)
    {
    }

    public function step(): string
    {
        return $this->step;
    }
}
