<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Larder\Larder;

/** Reads an ingredient line: amount, unit, which thing of the larder, and what is left as a note. */
final readonly class LineReader
{
    private const LONGEST = 300;

    private Spans $spans;

    private Amounts $amounts;

    public function __construct(public Larder $larder, Lexicon $lexicon, float $cupMl)
    {
        $things = new Things($larder, $lexicon);
        $this->spans = new Spans($lexicon, $things);
        $this->amounts = new Amounts($lexicon, $things, new Weighing($cupMl));
    }

    public function read(string $line): IngredientLine
    {
        $text = self::text($line);
        $amount = $this->first($text);
        if (null === $amount) {
            return new IngredientLine(null, null, null, trim($text->text), '', null, []);
        }
        $quantity = null === $amount->from ? null : new Quantity($amount->from, $amount->to ?? $amount->from);

        return new IngredientLine(
            $quantity,
            $amount->unit,
            $amount->thing,
            $amount->named,
            $this->note($text, $amount),
            null === $amount->thing ? null : $amount->grams,
            $amount->guesses,
        );
    }

    /** @return list<ToldAmount> everything a line tells: "one cup each of milk and water" */
    public function amounts(string $line): array
    {
        $text = self::text($line);
        $all = $this->amounts->of($text, $this->spans->in($text, 0, \count($text->tokens)));
        $told = array_values(array_filter($all, static fn (ToldAmount $a): bool => null !== $a->from));

        return array_map(static fn (ToldAmount $a): ToldAmount => $a->listed(), [] === $told ? \array_slice($all, 0, 1) : $told);
    }

    private static function text(string $line): Text
    {
        return Text::of(trim((string) preg_replace('/^[\s•*\-–]+|^\s*\d{1,2}[.)]\s+(?=\S)/u', '', mb_substr($line, 0, self::LONGEST))));
    }

    private function first(Text $text): ?ToldAmount
    {
        $spans = $this->spans->in($text, 0, \count($text->tokens));
        $named = null;
        foreach ($this->amounts->of($text, $spans) as $amount) {
            if (null !== $amount->from || '' !== $amount->vague) {
                return $amount;
            }
            $named ??= $amount;
        }
        // "3 vanilla": so many of what nobody counts.
        $number = $spans[0] ?? null;
        if (null !== $named && null !== $number && SpanKind::Number === $number->kind && $number->next <= $named->first) {
            return $named->counted($number);
        }

        return $named;
    }

    /** What stands behind the amount and the name: "chopped", "to taste". */
    private function note(Text $text, ToldAmount $amount): string
    {
        $note = (string) preg_replace(
            '/^[\s,;:.()\-–]+|[\s,;:.()\-–]+$/u',
            '',
            $text->words($amount->next, \count($text->tokens)),
        );
        if ('' !== $amount->vague && !str_contains($note, $amount->vague)) {
            $note = trim($amount->vague.' '.$note);
        }

        return $note === $amount->named ? '' : $note;
    }
}
