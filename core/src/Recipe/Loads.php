<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** What a tool takes at a time (a jar, a tier, a griddle), and the minutes for wiping, drying or cooling between two loads. */
final readonly class Loads
{
    private function __construct(public float $pieces, public float $grams, public float $betweenMinutes)
    {
    }

    public static function pieces(float $pieces, float $betweenMinutes): self
    {
        return new self($pieces, 0.0, $betweenMinutes);
    }

    public static function grams(float $grams, float $betweenMinutes): self
    {
        return new self(0.0, $grams, $betweenMinutes);
    }

    /** How many times the tool is filled. */
    public function number(float $grams, float $pieces): int
    {
        $loads = $this->pieces > 0 ? $pieces / $this->pieces : $grams / $this->grams;

        return max(1, (int) ceil($loads - 1e-9));
    }

    /** The share of everything that is in the tool at a time. */
    public function share(float $grams, float $pieces): float
    {
        return 1 / $this->number($grams, $pieces);
    }
}
