<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Larder\Found;
use FeastLadle\Larder\Ingredient;
use FeastLadle\Larder\Larder;

/** Reads an ingredient line: amount, unit, which thing of the larder, and what is left as a note. */
final readonly class LineReader
{
    /** Words that say what was done to a thing, or which sort is meant, but are not its name. */
    private const MANNER =
        '/\b(thick|thin|fresh(ly)?|fine(ly)?|coarse(ly)?|thin(ly)?|roughly|chopped|diced|sliced|slivered|grated'.
        '|ground|crushed|powdered|powder|roasted|toasted|melted|warm|hot|cold|boiled|chilled|ripe|raw|peeled|soaked|washed|good|best'.
        '|plain|pure|heaped|level|extra|optional|of|the|some|for frying|for garnish|for greasing|to taste|as needed|as required|if '.
        'you like)\b/i';

    public function __construct(private Larder $larder, private float $cupMl)
    {
    }

    public function read(string $line): IngredientLine
    {
        $text = trim((string) preg_replace('/^[\s•*\-–]+/u', '', mb_substr($line, 0, 300)));
        $note = '';
        // "4 cups (600 ml) water": what stands in brackets before the name is said beside it.
        if (1 === preg_match('/^([^(]{1,40})\(([^)]{1,40})\)\s*([a-z].*)$/isu', $text, $m)) {
            [$text, $note] = [trim($m[1]).' '.$m[3], trim($m[2])];
        }
        if (1 === preg_match('/^(.*?)\s*(?:\(([^)]*)\)|,\s+(.+)|\s-\s(.+))\s*$/su', $text, $m)) {
            $tail = trim(implode(' ', array_filter([$m[2] ?? '', $m[3] ?? '', $m[4] ?? ''])));
            [$text, $note] = [trim($m[1]), trim($note.' '.$tail)];
        }
        $guesses = [];
        $quantity = null;
        $unit = null;
        if (1 === preg_match('/^(a few|a little|some)\s+(?!\d)(.*)$/isu', $text, $m)) {
            [$text, $note] = [$m[2], trim($m[1].' '.$note)];
        }
        $read = (new QuantityReader())->read($text);
        if (null !== $read) {
            [$quantity, $text] = $read;
        }
        // "a pinch" and "pinch of" alike; without a number a unit means one.
        $spoken = SpokenUnit::at($text);
        // "4 cloves": the word for the unit is the thing itself.
        if (null !== $spoken && '' !== trim($spoken[1])) {
            [$unit, $text] = $spoken;
            $quantity ??= new Quantity(1.0, 1.0);
            if (1 === preg_match('/^and\s+a\s+(half|quarter)\s+(?:of\s+)?(.*)$/isu', $text, $m)) {
                $more = 'half' === strtolower($m[1]) ? 0.5 : 0.25;
                $quantity = new Quantity($quantity->from + $more, $quantity->to + $more);
                $text = $m[2];
            }
        }
        [$ingredient, $exact] = $this->ingredient($text, $note);
        if (null !== $ingredient && !$exact) {
            $guesses[] = new Guess('"{words}" was taken for {name}', ['words' => trim($text), 'name' => $ingredient->name]);
        }
        $grams = null === $quantity || null === $ingredient ? null : $this->grams($quantity, $unit, $ingredient, $guesses);

        return new IngredientLine($quantity, $unit, $ingredient, trim($text), $note, $grams, $guesses);
    }

    /** @return array{Ingredient|null, bool} the thing, and whether the words named it exactly */
    private function ingredient(string $text, string $note): array
    {
        $bare = trim((string) preg_replace('/\s+/', ' ', (string) preg_replace(self::MANNER, ' ', $text)));
        // The whole wording first: "grated coconut" and "ground almonds" are names of their own.
        foreach (array_unique([trim($text), trim($text.' '.$note), $bare]) as $asked) {
            $found = $this->larder->search($asked);
            if ([] !== $found && $this->isExact($found[0]->by, $asked)) {
                return [$found[0]->ingredient, true];
            }
        }
        $words = explode(' ', $bare);
        // Then ever fewer of the words, as they stand beside each other.
        for ($length = \count($words); $length > 0; --$length) {
            for ($from = 0; $from + $length <= \count($words); ++$from) {
                $found = $this->oneOrMany(implode(' ', \array_slice($words, $from, $length)));
                if ([] !== $found) {
                    return [$found[0]->ingredient, false];
                }
            }
        }

        return [null, false];
    }

    /** @return list<Found> by the words as they are, then by their singular */
    private function oneOrMany(string $asked): array
    {
        if (mb_strlen($asked) < 3) {
            return [];
        }
        foreach (
            [
                $asked,
                ...array_map(static fn (array $p): string => (string) preg_replace($p[0], $p[1], $asked), [
                    ['/leaves$/i', 'leaf'],
                    ['/ies$/i', 'y'],
                    ['/oes$/i', 'o'],
                    ['/s$/i', ''],
                ]),
            ] as $form
        ) {
            $found = $this->larder->search($form);
            if ([] !== $found) {
                return $found;
            }
        }

        return [];
    }

    private function isExact(string $name, string $asked): bool
    {
        $plain = static fn (string $s): string => (string) preg_replace('/[^a-z]+/', '', rtrim(strtolower($s), 's'));

        return $plain($name) === $plain($asked);
    }

    /** @param list<Guess> $guesses */
    private function grams(Quantity $quantity, ?SpokenUnit $unit, Ingredient $ingredient, array &$guesses): ?float
    {
        if ($quantity->isRange()) {
            $guesses[] = new Guess('the middle of the range was taken');
        }
        $amount = $quantity->middle();
        if (null === $unit || SpokenUnit::Piece === $unit || SpokenUnit::Pack === $unit) {
            $one =
                SpokenUnit::Pack === $unit
                    ? $ingredient->buying->pack->grams
                    : $ingredient->weights->eachGrams ??
                        ($ingredient->weights->small['piece'] ??
                            ($ingredient->weights->small['pod'] ??
                                ($ingredient->weights->small['clove'] ?? ($ingredient->weights->small['leaf'] ?? null))));
            if (null === $one) {
                $guesses[] = new Guess('how much one weighs is not known');

                return null;
            }
            $guesses[] = new Guess('one was taken as {grams} g', ['grams' => round($one, 2)]);

            return $amount * $one;
        }
        if (null !== $unit->grams()) {
            return $amount * $unit->grams();
        }
        $ml = $unit->millilitres($this->cupMl);
        if (null !== $ml) {
            if (SpokenUnit::Handful === $unit) {
                $guesses[] = new Guess('a handful was taken as 60 ml');
            }

            return $amount * $ml * $ingredient->weights->bulkDensity;
        }
        $small =
            $ingredient->weights->small[$unit->value] ??
            ($ingredient->weights->small['clove'] ??
                ($ingredient->weights->small['stick'] ?? ($ingredient->weights->small['blade'] ?? null)));
        if (null === $small && SpokenUnit::Pinch === $unit) {
            // An eighth of a teaspoon, as a kitchen estimate.
            $small = 0.625 * $ingredient->weights->bulkDensity;
            $guesses[] = new Guess('a pinch was taken as an eighth of a teaspoon');
        }

        return null === $small ? null : $amount * $small;
    }
}
