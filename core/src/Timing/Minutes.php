<?php

declare(strict_types=1);

namespace FeastLadle\Timing;

/** An estimate of a step's time in whole minutes, at least one. */
final readonly class Minutes
{
    /** Share of a step's heat that nobody measures at a stove; kitchen estimate. */
    private const UNMEASURED = 0.05;

    /** @param float $exact the likely time before it was rounded */
    private function __construct(public int $min, public int $likely, public int $max, public float $exact)
    {
    }

    public static function of(float $min, float $likely, float $max): self
    {
        $whole = max(1, (int) round($likely));

        return new self(max(1, min($whole, (int) round($min))), $whole, max($whole, (int) round($max)), $likely);
    }

    /** The same, with the whole minutes raised where rounding took more of the heat away than anybody measures. */
    public function holdingHeatOf(float $least): self
    {
        if ($this->likely >= (1 - self::UNMEASURED) * $least) {
            return $this;
        }
        $whole = (int) ceil($least);

        return new self(min($whole, $this->min), $whole, max($whole, $this->max), $this->exact);
    }
}
