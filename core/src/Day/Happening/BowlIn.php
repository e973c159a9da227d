<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** A bowl went in: as planned without grams, none of it with 0. */
final readonly class BowlIn implements OfStep
{
    public function __construct(public string $step, public int $bowl, public ?float $grams, public bool $reserve)
    {
    }

    public function step(): string
    {
        return $this->step;
    }
}
