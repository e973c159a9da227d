<?php

declare(strict_types=1);

namespace FeastLadle\Measure;

/** Rounds an amount to what a kitchen can use, never by more than 1 % where the scale allows it. */
final readonly class Rounding
{
    public const TEASPOON_ML = 5.0;
    public const TABLESPOON_ML = 15.0;

    /** Steps a person reads without effort. */
    private const STEPS = [0.1, 0.2, 0.5, 1.0, 2.0, 5.0, 10.0, 20.0, 25.0, 50.0, 100.0, 200.0, 250.0, 500.0, 1000.0];

    /** A step of at most this share of the amount keeps any ratio of two amounts within 2 %. */
    private const STEP_SHARE = 0.02;

    /**
     * @param float       $scaleStepGrams of the one scale there is, where no others are told
     * @param list<Scale> $scales
     */
    public function __construct(private float $scaleStepGrams, private array $scales = [])
    {
    }

    /** Step of the finest scale that carries so much; the strongest one takes what is too heavy for all, in goes. */
    public function scaleStep(float $grams): float
    {
        $best = null;
        foreach ($this->scales as $scale) {
            $carries = $scale->mostGrams >= $grams;
            $bestCarries = null !== $best && $best->mostGrams >= $grams;
            if (
                null === $best
                || ($carries && (!$bestCarries || $scale->stepGrams < $best->stepGrams))
                || (!$carries && !$bestCarries && $scale->mostGrams > $best->mostGrams)
            ) {
                $best = $scale;
            }
        }

        return $best->stepGrams ?? $this->scaleStepGrams;
    }

    public function grams(float $grams): float
    {
        $step = $this->step($grams);

        return round($grams / $step) * $step;
    }

    /** A scale shows an amount honestly when its step is at most a tenth of it; below that, spoons serve better. */
    public function isWeighable(float $grams): bool
    {
        return $this->scaleStep($grams) <= $grams / 10 + 1e-9;
    }

    private function step(float $grams): float
    {
        $step = $finest = $this->scaleStep($grams);
        foreach (self::STEPS as $candidate) {
            $ratio = $candidate / $finest;
            if ($candidate > $step && $candidate <= self::STEP_SHARE * $grams && abs($ratio - round($ratio)) < 1e-9) {
                $step = $candidate;
            }
        }

        return $step;
    }
}
