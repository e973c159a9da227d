<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Document\FaultyDocument;

/** Takes a pasted text apart: a written recipe with its list and its method, or a telling in which amounts fall inside the sentences. */
final readonly class TextReader
{
    public const LONGEST = 60_000;
    private const MOST_SENTENCES = 300;
    private const MOST_WORDS = 6000;
    private const MOST_LINES = 400;
    private const LONGEST_NAME = 80;
    private const FULL_LINE = 50;

    private const LIST_HEADING =
        '/^(?:the )?(?:ingredients?|you (?:will )?need|what you need|what goes in|things|for the .{2,40}|take)\s*[:\-–]?\s*$/i';
    private const METHOD_HEADING =
        '/^(?:the )?(?:method|instructions?|directions?|preparation|procedure|steps?|how to make it|what to do)\s*[:\-–]?\s*$/i';
    private const YIELDS = '/^(?:serves|makes|yields?|for)\s*[:\-–]?\s*(?:about )?(\d+.{0,40})$/i';

    public function __construct(private LineReader $lines, private Telling $telling)
    {
    }

    /** @throws FaultyDocument when it is too long, no text, or holds nothing to cook */
    public function read(string $text): ToldRecipe
    {
        if (\strlen($text) > self::LONGEST) {
            throw FaultyDocument::because('text', 'This text has {length} bytes; the most is {limit}. Paste one recipe at a time.', [
                'length' => \strlen($text),
                'limit' => self::LONGEST,
            ]);
        }
        if (!mb_check_encoding($text, 'UTF-8')) {
            throw FaultyDocument::because('text', 'This is no text in UTF-8.');
        }
        // Tags are no words, and what scripts hold is nothing to cook.
        $plain = html_entity_decode(
            strip_tags((string) preg_replace('#<(script|style)\b.*?</\1\s*>#is', ' ', $text)),
            \ENT_QUOTES | \ENT_HTML5,
        );
        $plain = (string) preg_replace('/[\x00-\x08\x0b\x0c\x0e-\x1f\x7f]/', '', str_replace(["\r\n", "\r"], "\n", $plain));
        $lines = array_values(array_filter(array_map(trim(...), explode("\n", $plain)), static fn (string $l): bool => '' !== $l));
        if (\count($lines) > self::MOST_LINES) {
            throw FaultyDocument::because('text', 'This text has {count} lines; the most is {limit}. Paste one recipe at a time.', [
                'count' => \count($lines),
                'limit' => self::MOST_LINES,
            ]);
        }
        $told = $this->sorted($lines);
        $words = str_word_count($told->text());
        if ($words > self::MOST_WORDS) {
            throw FaultyDocument::because('text', 'This text has {count} words; the most is {limit}. Paste one recipe at a time.', [
                'count' => $words,
                'limit' => self::MOST_WORDS,
            ]);
        }
        $sentences = \count(Text::of($told->text())->sentences);
        if ($sentences > self::MOST_SENTENCES) {
            throw FaultyDocument::because('text', 'This text has {count} sentences; the most is {limit}. Paste one recipe at a time.', [
                'count' => $sentences,
                'limit' => self::MOST_SENTENCES,
            ]);
        }
        if ([] === $told->ingredients && [] === $told->steps) {
            throw FaultyDocument::because('text', 'Nothing to cook was found in this text.');
        }

        return $told;
    }

    /** @param list<string> $lines */
    private function sorted(array $lines): ToldRecipe
    {
        $name = '';
        $summary = '';
        $yields = '';
        $ingredients = [];
        $steps = [];
        $inList = $inMethod = $followsOne = false;
        foreach ($lines as $i => $line) {
            if (1 === preg_match(self::YIELDS, $line, $match) && mb_strlen($line) < 50) {
                $yields = trim($match[1]);
                continue;
            }
            if (1 === preg_match(self::METHOD_HEADING, $line)) {
                [$inList, $inMethod] = [false, true];
                continue;
            }
            if (1 === preg_match(self::LIST_HEADING, $line)) {
                [$inList, $inMethod] = [true, false];
                continue;
            }
            if (0 === $i && $this->isName($line)) {
                $name = rtrim($line, ' .:');
                continue;
            }
            $line = (string) preg_replace('/^\s*(?:step\s*)?\d{1,2}\s*[.):]\s*|^[•*\-–]\s*/iu', '', $line);
            // One sentence between the name and the list says what it is.
            if (
                '' !== $name
                && 1 === $i
                && !$inList
                && 1 !== preg_match('/[.!?]\s+\S/', $line)
                && str_ends_with($line, '.')
                && !$this->telling->tellsWork($line)
            ) {
                $summary = mb_substr($line, 0, 400);
                continue;
            }
            if (!$inMethod && ($this->isIngredient($line, $inList) || ($followsOne && $this->isBareIngredient($line)))) {
                $ingredients[] = $line;
                $followsOne = true;
                continue;
            }
            $followsOne = false;
            $last = $steps[\count($steps) - 1] ?? '';
            // A line that was only too long for the page goes on in the next.
            if ($i > 0 && '' !== $last && mb_strlen($lines[$i - 1]) >= self::FULL_LINE && 1 !== preg_match('/[.!?:;]["”)]?$/u', $last)) {
                array_pop($steps);
                $steps[] = $last.' '.$line;
            } elseif (mb_strlen($line) > 2) {
                $steps[] = $line;
            }
        }

        return new ToldRecipe(mb_substr($name, 0, self::LONGEST_NAME), $summary, $ingredients, $steps, $yields);
    }

    private function isName(string $line): bool
    {
        $read = $this->lines->read($line);
        $isAmount = null !== $read->quantity && (null !== $read->unit || null !== $read->grams);

        return mb_strlen($line) <= self::LONGEST_NAME
            && !$isAmount
            && !str_ends_with($line, '.')
            && 1 !== preg_match('/[.!?]\s+\S/', $line)
            && !str_starts_with($line, '-');
    }

    private function isIngredient(string $line, bool $inList): bool
    {
        if (mb_strlen($line) > 140 || 1 === preg_match('/^\d+[.)]\s+[A-Z]/', $line)) {
            return false;
        }
        $read = $this->lines->read($line);
        if (null === $read->ingredient && !$inList) {
            return false;
        }

        return $inList
            || (null !== $read->quantity
                && (null !== $read->unit || null !== $read->grams)
                && mb_strlen($line) < 80
                && !str_ends_with($line, '.')
                && 1 !== preg_match('/[a-z]\.\s+[A-Z]/', $line));
    }

    /** "salt to taste", among lines with amounts. */
    private function isBareIngredient(string $line): bool
    {
        return mb_strlen($line) < 40
            && !str_ends_with($line, '.')
            && !$this->telling->tellsWork($line)
            && null !== $this->lines->read($line)->ingredient;
    }
}
