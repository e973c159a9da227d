<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** One bowl that enters a step: an ingredient, (a share of) another step's output, or some of another recipe's output, a base. */
final readonly class Take
{
    /** How strong spice and salt grow with the factor: slower than the body, by convention. */
    public const STRONG = 0.85;

    /**
     * @param string|null $output  which of several outputs of fromStep
     * @param string|null $base    slug of the recipe whose output is taken
     * @param float       $reserve grams that stand by in a second bowl where the amount is open; about half of it is used
     * @param int         $place   which bowl it is in the document, from 0
     */
    private function __construct(
        public ?string $ingredient,
        public ?string $fromStep,
        public ?string $output,
        public ?string $base,
        public float $grams,
        public float $exponent,
        public float $share,
        public ?float $fatDepthMm,
        public float $reserve,
        public string $how,
        public Manner $manner,
        public int $place,
        public float $boilsOff = 0.0,
    ) {
    }

    /**
     * @param float $exponent how the amount grows with the factor: 1 for body, 0.85 for strong spice
     * @param float $boilsOff grams of it that boil off on the recipe's fire, however much is cooked: these do not grow
     */
    public static function ingredient(
        string $ingredient,
        float $grams,
        float $exponent,
        string $how,
        float $reserve = 0.0,
        ?Manner $manner = null,
        int $place = 0,
        float $boilsOff = 0.0,
    ): self {
        return new self(
            $ingredient,
            null,
            null,
            null,
            $grams,
            $exponent,
            1.0,
            null,
            $reserve,
            $how,
            $manner ?? Manner::plain(),
            $place,
            $boilsOff,
        );
    }

    /** Frying fat: what stands to this depth in whichever pan is chosen. */
    public static function fatToDepth(string $ingredient, float $depthMm, string $how, int $place = 0): self
    {
        return new self($ingredient, null, null, null, 0.0, 1.0, 1.0, $depthMm, 0.0, $how, Manner::plain(), $place);
    }

    public static function output(string $step, ?string $output, float $share, string $how, ?Manner $manner = null, int $place = 0): self
    {
        return new self(null, $step, $output, null, 0.0, 1.0, $share, null, 0.0, $how, $manner ?? Manner::plain(), $place);
    }

    public static function base(string $slug, float $grams, string $how, ?Manner $manner = null, int $place = 0): self
    {
        return new self(null, null, null, $slug, $grams, 1.0, 1.0, null, 0.0, $how, $manner ?? Manner::plain(), $place);
    }

    /** This bowl, as what is taken by another when the step between them is left out. */
    public function insteadOf(self $taken): self
    {
        return self::output(
            (string) $this->fromStep,
            $this->output,
            $this->share * $taken->share,
            $taken->how,
            $taken->manner,
            $taken->place,
        );
    }

    /** Which output of which step it takes, as "step" or "step/output". */
    public function sourceKey(): ?string
    {
        return null === $this->fromStep ? null : Output::key($this->fromStep, $this->output);
    }

    /** Grams of the bowl when the batch is so many times the recipe as written. */
    public function grown(float $scale): float
    {
        return ($this->grams - $this->boilsOff) * $scale ** $this->exponent + $this->boilsOff;
    }
}
