<?php

declare(strict_types=1);

namespace FeastLadle\Measure;

use FeastLadle\Larder\Ingredient;
use FeastLadle\Words\Sentence;

/** Writes amounts as a cook measures them: by weight, by the kitchen's own cup, by spoons, by count, or a pinch. */
final readonly class AmountWriter
{
    private const FRACTIONS = [0 => '', 1 => '¼', 2 => '½', 3 => '¾'];
    private Rounding $rounding;

    /** @param list<Scale> $scales */
    public function __construct(private float $cupMl, float $scaleStepGrams, array $scales = [])
    {
        $this->rounding = new Rounding($scaleStepGrams, $scales);
    }

    /** What is measured for this many grams, in grams: the amount that the cards and the stores agree on. */
    public function measuredGrams(Ingredient $ingredient, float $grams): float
    {
        if (null !== $ingredient->weights->eachGrams) {
            return max(1.0, round($grams / $ingredient->weights->eachGrams)) * $ingredient->weights->eachGrams;
        }
        if (!$this->rounding->isWeighable($grams)) {
            $quarters = round($grams / $ingredient->weights->bulkDensity / (Rounding::TEASPOON_ML / 4));

            return $quarters >= 1 ? $quarters * Rounding::TEASPOON_ML / 4 * $ingredient->weights->bulkDensity : $grams;
        }

        return $this->rounding->grams($grams);
    }

    /** The main way: "1.25 kg", "2 coconuts", "¾ tsp", "a pinch". */
    public function main(Ingredient $ingredient, float $measuredGrams): Sentence
    {
        if (null !== $ingredient->weights->eachGrams) {
            $count = round($measuredGrams / $ingredient->weights->eachGrams, 3);

            return '' === $ingredient->weights->counter
                ? new Sentence('{n}', ['n' => $count])
                : new Sentence('{n} {counter}', ['n' => $count, 'counter' => $ingredient->weights->counter]);
        }
        if (!$this->rounding->isWeighable($measuredGrams)) {
            $quarters = (int) round($measuredGrams / $ingredient->weights->bulkDensity / (Rounding::TEASPOON_ML / 4));

            return $quarters >= 1 ? new Sentence('{amount} tsp', ['amount' => self::quarters($quarters)]) : new Sentence('a pinch');
        }

        return self::weight($measuredGrams);
    }

    /** The same in cups or spoons, as a help; null where that would mislead by more than a tenth. */
    public function byCup(Ingredient $ingredient, float $grams): ?Sentence
    {
        $ml = $grams / $ingredient->weights->bulkDensity;
        if (null !== $ingredient->weights->eachGrams) {
            return self::weight($grams);
        }
        // What is spooned anyway needs no help.
        if (!$this->rounding->isWeighable($grams)) {
            return null;
        }
        foreach (['cup' => $this->cupMl, 'tbsp' => Rounding::TABLESPOON_ML, 'tsp' => Rounding::TEASPOON_ML] as $name => $unit) {
            $quarters = (int) round($ml / $unit * 4);
            if ($quarters >= ('cup' === $name ? 1 : 4) && abs($quarters * $unit / 4 - $ml) <= 0.1 * $ml) {
                $values = ['amount' => self::quarters($quarters)];

                return match (true) {
                    'tsp' === $name => new Sentence('{amount} tsp', $values),
                    'tbsp' === $name => new Sentence('{amount} tbsp', $values),
                    $quarters > 4 => new Sentence('{amount} cups', $values),
                    default => new Sentence('{amount} cup', $values),
                };
            }
        }

        return null;
    }

    public static function weight(float $grams): Sentence
    {
        if ($grams >= 1000) {
            return new Sentence('{n} kg', ['n' => round($grams / 1000, $grams >= 10000 ? 1 : ($grams >= 2000 ? 2 : 3))]);
        }
        if ($grams > 0 && $grams < 0.1) {
            return new Sentence('{n} mg', ['n' => round(1000 * $grams)]);
        }

        return new Sentence('{n} g', ['n' => round($grams, $grams < 0.95 ? 2 : ($grams < 10 ? 1 : 0))]);
    }

    public static function volume(float $ml): Sentence
    {
        return $ml >= 995
            ? new Sentence('{n} l', ['n' => round($ml / 1000, $ml >= 10000 ? 1 : 2)])
            : new Sentence('{n} ml', ['n' => round($ml / 5) * 5]);
    }

    public static function duration(float $minutes): Sentence
    {
        $minutes = (int) round($minutes);
        $rest = $minutes % 60;

        return match (true) {
            $minutes < 100 => new Sentence('{n} min', ['n' => $minutes]),
            $minutes >= 2880 => new Sentence('{n} days', ['n' => round($minutes / 1440, 1)]),
            0 === $rest => new Sentence('{h} h', ['h' => intdiv($minutes, 60)]),
            default => new Sentence('{h} h {min} min', ['h' => intdiv($minutes, 60), 'min' => $rest]),
        };
    }

    private static function quarters(int $quarters): string
    {
        $whole = intdiv($quarters, 4);

        return (0 === $whole ? '' : (string) $whole).self::FRACTIONS[$quarters % 4];
    }
}
