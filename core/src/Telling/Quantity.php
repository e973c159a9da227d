<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** How much was said: a number or a range, as it was understood. */
final readonly class Quantity
{
    public function __construct(public float $from, public float $to)
    {
    }

    public function middle(): float
    {
        return ($this->from + $this->to) / 2;
    }

    public function isRange(): bool
    {
        return $this->from < $this->to;
    }
}
