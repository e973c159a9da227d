<?php

declare(strict_types=1);

namespace FeastLadle\Day\Slips;

use FeastLadle\Larder\Ingredient;

/** What goes in, in grams for this pot: likely, and between what. */
final readonly class Added
{
    /** What an estimate of the kitchen is sure to. */
    private const EITHER_WAY = 0.15;

    public function __construct(public Ingredient $thing, public float $grams, public float $least, public float $most)
    {
    }

    public static function about(Ingredient $thing, float $grams): self
    {
        return new self($thing, $grams, (1 - self::EITHER_WAY) * $grams, (1 + self::EITHER_WAY) * $grams);
    }
}
