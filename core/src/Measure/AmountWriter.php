<?php

declare(strict_types=1);

namespace FeastLadle\Measure;

use FeastLadle\Larder\Ingredient;

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
    public function main(Ingredient $ingredient, float $measuredGrams): string
    {
        if (null !== $ingredient->weights->eachGrams) {
            return trim(self::plain($measuredGrams / $ingredient->weights->eachGrams).' '.$ingredient->weights->counter);
        }
        if (!$this->rounding->isWeighable($measuredGrams)) {
            $quarters = (int) round($measuredGrams / $ingredient->weights->bulkDensity / (Rounding::TEASPOON_ML / 4));

            return $quarters >= 1 ? self::quarters($quarters).' tsp' : 'a pinch';
        }

        return self::weight($measuredGrams);
    }

    /** The same in cups or spoons, as a help; empty where that would mislead by more than a tenth. */
    public function byCup(Ingredient $ingredient, float $grams): string
    {
        $ml = $grams / $ingredient->weights->bulkDensity;
        if (null !== $ingredient->weights->eachGrams) {
            return self::weight($grams);
        }
        // What is spooned anyway needs no help.
        if (!$this->rounding->isWeighable($grams)) {
            return '';
        }
        foreach ([['cup', $this->cupMl], ['tbsp', Rounding::TABLESPOON_ML], ['tsp', Rounding::TEASPOON_ML]] as [$name, $unit]) {
            $quarters = (int) round($ml / $unit * 4);
            if ($quarters >= ('cup' === $name ? 1 : 4) && abs($quarters * $unit / 4 - $ml) <= 0.1 * $ml) {
                return self::quarters($quarters).' '.$name.('cup' === $name && $quarters > 4 ? 's' : '');
            }
        }

        return '';
    }

    public static function weight(float $grams): string
    {
        if ($grams >= 1000) {
            return self::plain(round($grams / 1000, $grams >= 10000 ? 1 : ($grams >= 2000 ? 2 : 3))).' kg';
        }

        if ($grams > 0 && $grams < 0.1) {
            return self::plain(round(1000 * $grams)).' mg';
        }

        return self::plain(round($grams, $grams < 0.95 ? 2 : ($grams < 10 ? 1 : 0))).' g';
    }

    public static function volume(float $ml): string
    {
        return $ml >= 995 ? self::plain(round($ml / 1000, $ml >= 10000 ? 1 : 2)).' l' : self::plain(round($ml / 5) * 5).' ml';
    }

    public static function duration(float $minutes): string
    {
        $minutes = (int) round($minutes);
        if ($minutes < 100) {
            return $minutes.' min';
        }
        if ($minutes >= 2880) {
            return self::plain(round($minutes / 1440, 1)).' days';
        }
        $rest = $minutes % 60;

        return intdiv($minutes, 60).' h'.(0 === $rest ? '' : ' '.$rest.' min');
    }

    private static function quarters(int $quarters): string
    {
        $whole = intdiv($quarters, 4);

        return (0 === $whole ? '' : (string) $whole).self::FRACTIONS[$quarters % 4];
    }

    private static function plain(float $number): string
    {
        return rtrim(rtrim(number_format($number, 3, '.', ''), '0'), '.');
    }
}
