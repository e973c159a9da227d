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

    /** As many as the pan, tier or griddle takes. */
    public static function asManyAsFit(float $betweenMinutes): self
    {
        return new self(0.0, 0.0, $betweenMinutes);
    }

    /** How many times the tool is filled; once where it is as many as fit, which only the vessel knows. */
    public function number(float $grams, float $pieces): int
    {
        $loads = match (true) {
            $this->pieces > 0 => $pieces / $this->pieces,
            $this->grams > 0 => $grams / $this->grams,
            default => 1.0,
        };

        return max(1, (int) ceil($loads - 1e-9));
    }

    /** The share of everything that is in the tool at a time. */
    public function share(float $grams, float $pieces): float
    {
        return 1 / $this->number($grams, $pieces);
    }
}
