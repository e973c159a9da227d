<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Larder\Larder;

/** Finds amounts that fall inside sentences: "cook it with half a cup of water", "double that of sugar". */
final readonly class AmountsInText
{
    private const LONGEST_NAME = 4;

    /** Words after which a number is no amount of a thing. */
    private const NOT_AMOUNTS =
        '/^(?:min(?:ute)?s?|mins|hours?|hrs?|seconds?|secs?|times?|whistles?|releases?|strings?|threads?|parts?'.
        '|sides?|days?|people|persons|guests|inch(?:es)?|mm|cm|°|degrees|at a time|or so|more)\b/i';

    public function __construct(private Larder $larder, private float $cupMl)
    {
    }

    /** @return list<IngredientLine> in the order in which they are said */
    public function find(string $text): array
    {
        $found = [];
        $offset = 0;
        $reader = new QuantityReader();
        // A number begins at a word: a digit, a fraction, or a number word.
        while (
            1 ===
            preg_match(
                '/(?<![\w\/.])(?:\d|[½¼¾⅓⅔⅛]|a\b|an\b|one\b|two\b|three\b|four\b|five\b|six\b|seven\b|eight\b|nine\b|ten\b'.
                    '|twelve\b|half\b|quarter\b)/iu',
                $text,
                $match,
                \PREG_OFFSET_CAPTURE,
                $offset,
            )
        ) {
            $start = $match[0][1];
            $rest = mb_strcut($text, $start, 200);
            $offset = $start + \strlen($match[0][0]);
            $read = $reader->read($rest);
            if (null === $read || 1 === preg_match(self::NOT_AMOUNTS, $read[1])) {
                continue;
            }
            $line = $this->line($rest, $read[1]);
            if (null !== $line) {
                $found[] = $line;
                $offset = $start + \strlen($rest) - \strlen($read[1]);
            }
        }

        return [...$found, ...$this->relative($text, $found)];
    }

    /** The amount with as many of the following words as name a thing exactly. */
    private function line(string $rest, string $afterNumber): ?IngredientLine
    {
        $spoken = SpokenUnit::at($afterNumber);
        $hasUnit = null !== $spoken && '' !== $spoken[1];
        $names = $hasUnit ? $spoken[1] : $afterNumber;
        $head = substr($rest, 0, \strlen($rest) - \strlen($names));
        // A name ends at the next comma, "and" or "with".
        $words = \array_slice(
            preg_split(
                '/\s+/',
                (string) preg_replace(
                    '/(?:[,;.:(]|\b(?:and|with|in|for|till|until|to|then|on|into|or|is|goes|of it)\b).*$/su',
                    '',
                    $names,
                ),
            ) ?:
            [],
            0,
            self::LONGEST_NAME,
        );
        for ($count = \count($words); $count > 0; --$count) {
            $line = (new LineReader($this->larder, $this->cupMl))->read($head.implode(' ', \array_slice($words, 0, $count)));
            // Without a unit only things that are counted are meant: "two bananas", not "a syrup".
            if (
                null !== $line->ingredient
                && ($hasUnit || null !== $line->grams)
                && (null !== $line->unit
                    || $hasUnit
                    || null !== $line->ingredient->weights->eachGrams
                    || [] !== $line->ingredient->weights->small)
            ) {
                return $line;
            }
        }

        return null;
    }

    /**
     * "double the sugar", "the same of ghee", "half that of jaggery": as a multiple of what was said last.
     *
     * @param list<IngredientLine> $said
     *
     * @return list<IngredientLine>
     */
    private function relative(string $text, array $said): array
    {
        $last = [] === $said ? null : $said[\count($said) - 1];
        if (
            null === $last?->grams
            || 1 !==
                preg_match(
                    '/\b(double|twice|half|the same|an equal|equal|thrice)\b (?:that |the |as much |amount |quantity |measure |of |in '.
                        ')+([a-z][a-z -]{2,30})/i',
                    $text,
                    $match,
                )
        ) {
            return [];
        }
        $factor = ['double' => 2.0, 'twice' => 2.0, 'thrice' => 3.0, 'half' => 0.5][strtolower($match[1])] ?? 1.0;
        $words = \array_slice(explode(' ', trim($match[2])), 0, self::LONGEST_NAME);
        for ($count = \count($words); $count > 0; --$count) {
            $line = (new LineReader($this->larder, $this->cupMl))->read(implode(' ', \array_slice($words, 0, $count)));
            if (null !== $line->ingredient && $line->ingredient->id !== $last->ingredient?->id) {
                // "double" of a measure: by volume, as cups are meant.
                $grams =
                    ($factor * $last->grams * $line->ingredient->weights->bulkDensity) /
                    max(0.01, $last->ingredient->weights->bulkDensity ?? 1.0);

                return [
                    new IngredientLine(null, null, $line->ingredient, $line->named, '', $grams, [
                        new Guess('"{words}" was taken as {factor} times the measure of {of}', [
                            'words' => mb_substr($match[0], 0, 50),
                            'factor' => $factor,
                            'of' => $last->ingredient->name ?? '',
                        ]),
                    ]),
                ];
            }
        }

        return [];
    }
}
