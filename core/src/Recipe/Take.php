<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** One bowl that enters a step: an ingredient, or (a share of) another step's output. */
final readonly class Take
{
    private function __construct(
        public ?string $ingredient,
        public ?string $fromStep,
        public float $grams,
        public float $exponent,
        public float $share,
        public ?float $fatDepthMm,
        public string $how,
    ) {
    }

    /** @param float $exponent how the amount grows with the factor: 1 for body, 0.85 for strong spice */
    public static function ingredient(string $ingredient, float $grams, float $exponent, string $how): self
    {
        return new self($ingredient, null, $grams, $exponent, 1.0, null, $how);
    }

    /** Frying fat: what stands to this depth in whichever pan is chosen. */
    public static function fatToDepth(string $ingredient, float $depthMm, string $how): self
    {
        return new self($ingredient, null, 0.0, 1.0, 1.0, $depthMm, $how);
    }

    public static function output(string $step, float $share, string $how): self
    {
        return new self(null, $step, 0.0, 1.0, $share, null, $how);
    }
}
