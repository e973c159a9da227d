<?php

declare(strict_types=1);

namespace FeastLadle\Amounts;

use FeastLadle\Larder\Ingredient;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Recipe\Manner;
use FeastLadle\Words\Sentence;

/** A bowl as it is measured out, rounded for this kitchen; a reserve bowl stands by and may be left over. */
final readonly class MeasuredBowl
{
    public function __construct(
        public Ingredient $ingredient,
        public float $grams,
        public Sentence $amount,
        public ?Sentence $byCup,
        public string $how,
        public bool $reserve = false,
        public float $exactGrams = 0.0,
        public float $baseGrams = 0.0,
        public float $exponent = 1.0,
        public float $boilsOff = 0.0,
        public float $boilsOffAsWritten = 0.0,
        public ?Manner $manner = null,
    ) {
    }

    /** Parts in which it goes in, 1 for all at once. */
    public function parts(): int
    {
        return max(1, $this->manner->parts ?? 1);
    }

    /** Grams of each part. */
    public function partGrams(): float
    {
        return $this->grams / $this->parts();
    }

    /** What decides how much of a reserve goes in; empty where nobody said. */
    public function decides(): string
    {
        return $this->reserve ? $this->manner->decides ?? '' : '';
    }

    /** A share of it, worded anew. */
    public function times(float $share, AmountWriter $writer): self
    {
        $grams = $writer->measuredGrams($this->ingredient, $share * $this->grams);

        return new self(
            $this->ingredient,
            $grams,
            $writer->main($this->ingredient, $grams),
            $writer->byCup($this->ingredient, $grams),
            $this->how,
            $this->reserve,
            $share * $this->exactGrams,
            $this->baseGrams,
            $this->exponent,
            $share * $this->boilsOff,
            $this->boilsOffAsWritten,
            $this->manner,
        );
    }
}
