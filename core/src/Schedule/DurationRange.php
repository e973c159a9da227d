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

    /** Units that so great a share of all futures do not exceed, from 0 to 1. */
    public function quantile(float $share): float
    {
        $width = $this->max - $this->min;
        if (0 === $width) {
            return (float) $this->likely;
        }

        return $share < ($this->likely - $this->min) / $width
            ? $this->min + sqrt($share * $width * ($this->likely - $this->min))
            : $this->max - sqrt((1 - $share) * $width * ($this->max - $this->likely));
    }

    /**
     * How long what was planned so long lasts in one of all futures; the triangle is stretched to what was planned.
     *
     * @param \Closure(): float $drawn a share from 0 to 1; not asked where nothing can be drawn
     */
    public function lasting(int $planned, \Closure $drawn): int
    {
        return $this->isExact() || $planned < 1 || $this->likely < 1
            ? $planned
            : max(1, (int) round(($this->quantile($drawn()) * $planned) / $this->likely));
    }

    /** Share of all futures that do not exceed so many units. */
    public function shareWithin(float $units): float
    {
        $width = $this->max - $this->min;

        return match (true) {
            $units >= $this->max => 1.0,
            $units <= $this->min => 0.0,
            $units < $this->likely => ($units - $this->min) ** 2 / ($width * ($this->likely - $this->min)),
            default => 1 - ($this->max - $units) ** 2 / ($width * ($this->max - $this->likely)),
        };
    }

    /** The same triangle, longer or shorter, in whole units rounded up. */
    public function times(float $factor): self
    {
        return 1.0 === $factor
            ? $this
            : new self((int) ceil($factor * $this->min), (int) ceil($factor * $this->likely), (int) ceil($factor * $this->max));
    }
}
