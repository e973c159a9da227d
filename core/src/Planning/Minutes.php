<?php

declare(strict_types=1);

namespace FeastLadle\Planning;

/** An estimate of a step's time in whole minutes, at least one. */
final readonly class Minutes
{
    private function __construct(public int $min, public int $likely, public int $max)
    {
    }

    public static function of(float $min, float $likely, float $max): self
    {
        $likely = max(1, (int) round($likely));

        return new self(max(1, min($likely, (int) round($min))), $likely, max($likely, (int) round($max)));
    }
}
