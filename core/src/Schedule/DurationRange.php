<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** A duration as a triangle; the plan uses the likely one. */
final readonly class DurationRange
{
    public function __construct(public int $min, public int $likely, public int $max)
    {
    }

    public static function exactly(int $units): self
    {
        return new self($units, $units, $units);
    }

    public function isExact(): bool
    {
        return $this->min === $this->max;
    }

    /** The same triangle, longer or shorter, in whole units rounded up. */
    public function times(float $factor): self
    {
        return 1.0 === $factor
            ? $this
            : new self((int) ceil($factor * $this->min), (int) ceil($factor * $this->likely), (int) ceil($factor * $this->max));
    }
}
