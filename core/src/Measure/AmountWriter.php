<?php

declare(strict_types=1);

namespace FeastLadle\Measure;

use FeastLadle\Larder\Ingredient;
use FeastLadle\Words\Sentence;

/** Writes amounts as a cook measures them: by weight, by the kitchen's own cup, by spoons, by count, or a pinch. */
final readonly class AmountWriter
{
    private const FRACTIONS = [0 => '', 1 => '¼', 2 => '½', 3 => '¾'];

    /** A strong thing is never rounded by more. */
    private const STRONG_WITHIN = 0.1;

    /** More threads or pods nobody counts. */
    private const MOST_COUNTED = 12;

    /** More parts nobody makes by eye. */
    private const MOST_PARTS = 16;

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
            $eighths = self::eighths($ingredient, $grams);

            return match (true) {
                null === $eighths => null === ($counted = self::counted($ingredient, $grams)) ? $grams : $counted[0] * $counted[1],
                0 === $eighths => $grams,
                default => $eighths * self::eighthOfASpoon($ingredient),
            };
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
            $eighths = self::eighths($ingredient, $measuredGrams);

            return match (true) {
                null === $eighths => $this->counts($ingredient, $measuredGrams) ?? $this->split($measuredGrams),
                $eighths > 0 => new Sentence('{amount} tsp', ['amount' => self::spoons($eighths)]),
                default => new Sentence('a pinch'),
            };
        }

        return self::weight($measuredGrams);
    }

    /** Of a strong thing less than spoons and scale can do: weighed so many times as much, and a part of it taken. */
    private function split(float $grams): Sentence
    {
        $parts = 2;
        while (!$this->rounding->isWeighable($grams * $parts)) {
            ++$parts;
        }
        $values = ['grams' => self::weight($this->rounding->grams($grams * $parts)), 'parts' => $parts];

        return $parts <= self::MOST_PARTS
            ? new Sentence('weigh {grams}, take 1 of {parts} parts', $values)
            : new Sentence('weigh {grams}, stir it into {parts} tsp of water, take 1 tsp', $values);
    }

    private function counts(Ingredient $ingredient, float $grams): ?Sentence
    {
        $counted = self::counted($ingredient, $grams);

        return null === $counted ? null : new Sentence('{n} × {piece}', ['n' => $counted[0], 'piece' => $counted[2]]);
    }

    /**
     * @return array{int, float, string}|null so many of a small thing by which it is counted, its grams, its name; the
     *     biggest that does
     */
    private static function counted(Ingredient $ingredient, float $grams): ?array
    {
        $small = $ingredient->weights->small;
        arsort($small);
        foreach ($small as $name => $each) {
            $n = (int) round($grams / $each);
            if ($n >= 1 && $n <= self::MOST_COUNTED && abs($n * $each - $grams) <= self::STRONG_WITHIN * $grams) {
                return [$n, $each, $name];
            }
        }

        return null;
    }

    /** @return int|null eighths of a teaspoon; quarters where those will do; null for a strong thing that spoons do not measure */
    private static function eighths(Ingredient $ingredient, float $grams): ?int
    {
        $exact = $grams / self::eighthOfASpoon($ingredient);
        $quarters = 2 * (int) round($exact / 2);
        $within = static fn (int $eighths): bool => $eighths > 0 && abs($eighths - $exact) <= self::STRONG_WITHIN * $exact;

        return match (true) {
            !$ingredient->weights->strong || $within($quarters) => $quarters,
            $within((int) round($exact)) => (int) round($exact),
            default => null,
        };
    }

    private static function eighthOfASpoon(Ingredient $ingredient): float
    {
        return ($ingredient->weights->bulkDensity * Rounding::TEASPOON_ML) / 8;
    }

    /** @param int $eighths of a spoon */
    private static function spoons(int $eighths): string
    {
        if (0 === $eighths % 2) {
            return self::quarters(intdiv($eighths, 2));
        }

        return (intdiv($eighths, 8) > 0 ? intdiv($eighths, 8) : '').[1 => '⅛', 3 => '⅜', 5 => '⅝', 7 => '⅞'][$eighths % 8];
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
            $quarters = (int) round(($ml / $unit) * 4);
            if ($quarters >= ('cup' === $name ? 1 : 4) && abs(($quarters * $unit) / 4 - $ml) <= 0.1 * $ml) {
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

    /** To a hundredth of a gram, for who reads it as a number: no scale is asked. */
    public static function exact(float $grams): Sentence
    {
        return new Sentence('{n} g', ['n' => round($grams, 2)]);
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
