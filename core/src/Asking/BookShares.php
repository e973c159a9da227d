<?php

declare(strict_types=1);

namespace FeastLadle\Asking;

use FeastLadle\Recipe\Recipe;

/** How much of a thing the recipes of the book take, as a share of all that goes into them. */
final readonly class BookShares
{
    /** @param array<string, list<float>> $shares sorted, by ingredient */
    private function __construct(private array $shares)
    {
    }

    /** @param iterable<Recipe> $recipes */
    public static function of(iterable $recipes): self
    {
        $shares = [];
        foreach ($recipes as $recipe) {
            $grams = [];
            foreach ($recipe->steps as $step) {
                foreach ($step->takes as $take) {
                    if (null !== $take->ingredient && $take->grams > 0) {
                        $grams[$take->ingredient] = ($grams[$take->ingredient] ?? 0.0) + $take->grams;
                    }
                }
            }
            foreach ($grams as $id => $amount) {
                $shares[$id][] = $amount / array_sum($grams);
            }
        }
        array_walk($shares, static function (array &$of): void {
            sort($of);
        });

        return new self($shares);
    }

    /** @return array{float, float}|null the usual least and most; null where no recipe takes it */
    public function range(string $ingredient): ?array
    {
        $known = $this->shares[$ingredient] ?? [];

        return [] === $known ? null : [$known[0], $known[\count($known) - 1]];
    }
}
