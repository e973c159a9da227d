<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Larder\Ingredient;
use FeastLadle\Larder\LarderReader;

/** What a spoken amount of a thing weighs in this kitchen. */
final readonly class Weighing
{
    /** A pinch is an eighth of a teaspoon, ml; a kitchen estimate. */
    private const PINCH_ML = 0.625;

    /** From this number on what has no unit is grams: "a hundred and twenty of sugar". */
    public const GRAMS_FROM = 20.0;

    public function __construct(private float $cupMl)
    {
    }

    /**
     * @param list<Guess> $guesses what had to be supposed is added
     *
     * @return float|null null where nobody knows
     */
    public function grams(float $amount, ?SpokenUnit $unit, Ingredient $thing, array &$guesses): ?float
    {
        if (null === $unit || SpokenUnit::Piece === $unit) {
            return $this->pieces($amount, $thing, $guesses);
        }
        if (null !== $unit->grams()) {
            return $amount * $unit->grams();
        }
        $small = $this->small($unit, $thing);
        if (null !== $small) {
            return $amount * $small;
        }
        if (SpokenUnit::Tin === $unit || SpokenUnit::Pack === $unit) {
            $guesses[] = new Guess('one was taken as {grams} g', ['grams' => round($thing->buying->pack->grams, 2)]);

            return $amount * $thing->buying->pack->grams;
        }
        if (SpokenUnit::Pinch === $unit) {
            $guesses[] = new Guess('a pinch was taken as an eighth of a teaspoon');

            return $amount * self::PINCH_ML * $thing->weights->bulkDensity;
        }
        $ml = $unit->millilitres($this->cupMl);
        if (null === $ml) {
            return $this->pieces($amount, $thing, $guesses);
        }
        if (SpokenUnit::Handful === $unit) {
            $guesses[] = new Guess('a handful was taken as 60 ml');
        } elseif ($unit->isLoose()) {
            $guesses[] = new Guess('a {unit} was taken as {ml} ml', ['unit' => $unit->value, 'ml' => round($ml)]);
        }

        return $amount * $ml * $thing->weights->bulkDensity;
    }

    /**
     * Of a thing that no larder knows: by weight as told, by measure as if it weighed what most dry things do.
     *
     * @param list<Guess> $guesses
     */
    public function gramsOfUnknown(float $amount, SpokenUnit $unit, array &$guesses): ?float
    {
        if (null !== $unit->grams()) {
            return $amount * $unit->grams();
        }
        $ml = SpokenUnit::Pinch === $unit ? self::PINCH_ML : $unit->millilitres($this->cupMl);
        if (null === $ml) {
            return null;
        }
        $guesses[] = new Guess(
            'what it weighs is not known; {density} g to the ml was taken',
            ['density' => LarderReader::NAMED_ONLY['density']],
        );

        return $amount * $ml * LarderReader::NAMED_ONLY['density'];
    }

    /** Whether it is counted: by its pieces, pods, leaves. */
    public static function isCounted(Ingredient $thing): bool
    {
        $counts = ['piece' => 1, 'pod' => 1, 'clove' => 1, 'leaf' => 1, 'stick' => 1];

        return null !== $thing->weights->eachGrams || [] !== array_intersect_key($thing->weights->small, $counts);
    }

    private function small(SpokenUnit $unit, Ingredient $thing): ?float
    {
        $known = $thing->weights->small;

        return $known[$unit->value] ?? match ($unit) {
            SpokenUnit::Clove => $known['pod'] ?? null,
            SpokenUnit::Slice, SpokenUnit::Sheet => $known['piece'] ?? $thing->weights->eachGrams,
            default => null,
        };
    }

    /** @param list<Guess> $guesses */
    private function pieces(float $amount, Ingredient $thing, array &$guesses): ?float
    {
        $small = $thing->weights->small;
        $one = $thing->weights->eachGrams
            ?? $small['piece']
            ?? $small['pod']
            ?? $small['clove']
            ?? $small['leaf']
            ?? $small['stick']
            ?? null;
        if (null === $one) {
            $guesses[] = new Guess('how much one weighs is not known');

            return null;
        }
        $guesses[] = new Guess('one was taken as {grams} g', ['grams' => round($one, 2)]);

        return $amount * $one;
    }
}
