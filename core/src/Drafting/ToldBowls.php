<?php

declare(strict_types=1);

namespace FeastLadle\Drafting;

use FeastLadle\Larder\Ingredient;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Take;
use FeastLadle\Telling\IngredientLine;
use FeastLadle\Telling\LineReader;

/** A bowl of a told recipe: how much was said, or supposed and asked, and whether two tellings of it agree. */
final readonly class ToldBowls
{
    /** Two measures of one amount that differ by more than this can't both be meant. */
    private const AGREE = 1.2;

    private const SPICE_GRAMS = 2.0;
    private const SPRINKLE_GRAMS = 25.0;
    public const BODY_GRAMS = 100.0;

    public function __construct(private Larder $larder, private float $cupMl, private OpenPoints $open)
    {
    }

    public function isNamed(Ingredient $ingredient, string $listedAs, string $plain): bool
    {
        foreach ([$listedAs, $ingredient->name, ...$ingredient->names] as $name) {
            $words = array_filter(
                explode(' ', (string) preg_replace('/[^a-z]+/', ' ', mb_strtolower(explode(',', $name)[0]))),
                static fn (string $w): bool => mb_strlen($w) > 2,
            );
            $last = [] === $words ? '' : $words[array_key_last($words)];
            // "the sugar" names powdered sugar when that is what is listed.
            foreach ([implode(' ', $words), $last] as $asked) {
                if (
                    '' !== $asked
                    && (str_contains($plain, ' '.$asked.' ')
                        || str_contains($plain, ' '.rtrim($asked, 's').' ')
                        || str_contains($plain, ' '.$asked.'s '))
                ) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return array<string, mixed> */
    public function of(IngredientLine $line, Process $process, string $place): array
    {
        $ingredient = $line->ingredient ?? throw new \LogicException('A bowl holds a thing of the larder.');
        $grams = $line->grams;
        $isSpice = $ingredient->buying->pack->grams <= 60 || \in_array($ingredient->id, ['salt', 'baking-soda', 'baking-powder'], true);
        if (null === $grams) {
            $grams = $isSpice
                ? self::SPICE_GRAMS
                : (1 === preg_match('/\b(?:few|little|handful|garnish)\b/i', $line->named.' '.$line->note)
                    ? self::SPRINKLE_GRAMS
                    : self::BODY_GRAMS);
            $this->open->guess(
                $place.'/grams',
                '{name}: no amount was told; {grams} g were supposed',
                name: $ingredient->name,
                grams: $grams,
            );
            $this->open->ask(
                $place.'/grams',
                $isSpice ? 0.25 : ($ingredient->addedSugarShare() > 0 ? 1.0 : 0.9),
                '{name}: how much?',
                name: $ingredient->name,
            );
        }
        foreach ($line->guesses as $guess) {
            $this->open->guess(
                $place,
                '{name}: {guess}',
                name: $ingredient->name,
                guess: $guess->sentence->text(),
            );
        }
        $this->crossCheck($line, $ingredient, $grams, $place);
        $bowl = ['ingredient' => $ingredient->id, 'grams' => round(max(0.01, $grams), 2)];
        if ('' !== $line->note) {
            $bowl['how'] = mb_substr($line->note, 0, 150);
        }
        if ($isSpice && $bowl['grams'] < 20) {
            $bowl['exponent'] = Take::STRONG;
        }

        return $bowl;
    }

    /** "2 cups (300 g) sugar": does the one agree with the other? */
    private function crossCheck(IngredientLine $line, Ingredient $ingredient, float $grams, string $place): void
    {
        if (null === $line->unit || 1 !== preg_match('/(\d[\d.,\/ ½¼¾]*)\s*(g|gm|gms|grams?|kg|ml|l)\b/i', $line->note, $match)) {
            return;
        }
        $other = (new LineReader($this->larder, $this->cupMl))->read($match[0].' '.$ingredient->name)->grams;
        if (null === $other || $other <= 0 || $grams <= 0) {
            return;
        }
        if (max($other / $grams, $grams / $other) > self::AGREE) {
            $this->open->ask(
                $place.'/grams',
                0.95,
                '{name}: {said} comes to {grams} g in this kitchen, but {other} g was told too. Which holds?',
                name: $ingredient->name,
                said: $line->quantity?->middle().' × '.$line->unit->value,
                grams: round($grams),
                other: round($other),
            );
        }
    }
}
