<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** Somebody is asked to take the spoon. */
final readonly class ReliefAsked implements OfStep
{
    public function __construct(public string $step, public string $person, public ?bool $taken)
    {
    }

    public function step(): string
    {
        return $this->step;
    }
}
