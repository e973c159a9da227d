<?php

declare(strict_types=1);

namespace FeastLadle\Kitchen;

use FeastLadle\Measure\AmountWriter;
use FeastLadle\Measure\Scale;

/** What is measured with: the cup and the scales. */
final readonly class Measures
{
    /** @param list<Scale> $scales empty: one scale of $scaleStepGrams */
    public function __construct(public float $cupMl, public float $scaleStepGrams, public array $scales = [])
    {
    }

    public function writer(): AmountWriter
    {
        return new AmountWriter($this->cupMl, $this->scaleStepGrams, $this->scales);
    }
}
