<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** A text cut into tokens and sentences; every token knows its place in the text. */
final readonly class Text
{
    /** Longer words are no words; they are cut. */
    private const LONGEST_WORD = 40;

    /** What goes on longer is no sentence. */
    private const LONGEST_SENTENCE = 400;

    /** A line of so many bytes was broken where the page ended. */
    private const FULL_LINE = 60;

    private const TOKEN =
        '/\d{1,3}(?:,\d{3})+(?!\d)(?:\.\d+)?|\d+(?:[.,]\d+)?|[½¼¾⅓⅔⅛⅜⅝⅞]|[\p{L}\p{M}]+(?:[\x{2019}\'][\p{L}]+)*'
        .'|°\s?[cC]?|\n+|[^\s\p{L}\p{M}\d]/u';

    /** After these a point ends no sentence where small letters follow. */
    private const SHORTENED = [
        'tsp', 'tsps', 'tbsp', 'tbsps', 'g', 'gm', 'gms', 'kg', 'ml', 'l', 'c', 't', 'oz', 'lb', 'lbs', 'min', 'mins', 'approx',
        'hr', 'hrs', 'no', 'etc',
    ];

    /**
     * @param list<Token>           $tokens
     * @param list<array{int, int}> $sentences first token and the one behind the last
     */
    private function __construct(public string $text, public array $tokens, public array $sentences)
    {
    }

    public static function of(string $text): self
    {
        preg_match_all(self::TOKEN, $text, $found, \PREG_OFFSET_CAPTURE);
        $tokens = [];
        $last = -1;
        foreach ($found[0] as [$as, $start]) {
            $end = $start + \strlen($as);
            $kind = match (true) {
                1 === preg_match('/^\d/', $as) => TokenKind::Number,
                1 === preg_match('/^[½¼¾⅓⅔⅛⅜⅝⅞]$/u', $as) => TokenKind::Fraction,
                1 === preg_match('/^\p{L}/u', $as) => TokenKind::Word,
                default => TokenKind::Sign,
            };
            $word = TokenKind::Word === $kind ? mb_strtolower(mb_substr(str_replace('’', "'", $as), 0, self::LONGEST_WORD)) : $as;
            if (str_starts_with($as, "\n")) {
                // A line that was only too long for the page goes on in the next.
                $lineStart = strrpos(substr($text, 0, $start), "\n");
                if ("\n" === $as && $start - (false === $lineStart ? 0 : $lineStart) > self::FULL_LINE) {
                    continue;
                }
                $word = "\n";
            }
            // "see-through" is two words; "- 3 tbsp" and "2-3" keep their dash.
            $isJoint = '-' === $word && $start === $last && 1 === preg_match('/^\p{L}/u', substr($text, $end, 4)) && TokenKind::Word
                === (end($tokens) ?: null)?->kind;
            if (!$isJoint) {
                $tokens[] = new Token($word, $start, $end, $kind, $start === $last);
            }
            $last = $end;
        }

        return new self($text, $tokens, self::cut($text, $tokens));
    }

    /**
     * @param list<Token> $tokens
     *
     * @return list<array{int, int}>
     */
    private static function cut(string $text, array $tokens): array
    {
        $sentences = [];
        $from = 0;
        foreach ($tokens as $i => $token) {
            if ($i - $from >= self::LONGEST_SENTENCE) {
                $sentences[] = [$from, $i];
                $from = $i;
            }
            if (!$token->is('.', '!', '?', ';', "\n", '…')) {
                continue;
            }
            $next = $tokens[$i + 1] ?? null;
            $isSmall = null !== $next && 1 === preg_match('/^\p{Ll}/u', substr($text, $next->start, 4));
            $isShortened = '.' === $token->word
                && null !== $next
                && $isSmall
                && isset($tokens[$i - 1])
                && $tokens[$i - 1]->is(...self::SHORTENED);
            // "400 g. No, take 450": the second half takes the first back.
            $isTakenBack = '.' === $token->word && null !== $next && $next->is('no', 'sorry')
                && true === ($tokens[$i + 2] ?? null)?->is(',')
                && $i - $from < self::LONGEST_SENTENCE / 2;
            if ($isTakenBack || $isShortened || ('.' === $token->word && ($next->glued ?? false) && $isSmall)) {
                continue;
            }
            if ($i > $from) {
                $sentences[] = [$from, $i];
            }
            $from = $i + 1;
        }
        if (\count($tokens) > $from) {
            $sentences[] = [$from, \count($tokens)];
        }

        return $sentences;
    }

    /** The words as they stand in the text, from one token to the one before another. */
    public function words(int $from, int $to): string
    {
        if ($to <= $from || !isset($this->tokens[$from])) {
            return '';
        }

        // Where a line ends says nothing.
        return strtr(substr(
            $this->text,
            $this->tokens[$from]->start,
            $this->tokens[min($to, \count($this->tokens)) - 1]->end - $this->tokens[$from]->start,
        ), ["\r\n" => ' ', "\n" => ' ', "\r" => ' ']);
    }

    public function at(int $i): ?Token
    {
        return $this->tokens[$i] ?? null;
    }

    public function is(int $i, string ...$words): bool
    {
        return isset($this->tokens[$i]) && \in_array($this->tokens[$i]->word, $words, true);
    }

    /** How many tokens a phrase of words covers from here; 0 where it does not stand here. */
    public function phrase(int $i, string $phrase): int
    {
        $words = explode(' ', $phrase);
        foreach ($words as $k => $word) {
            if (($this->tokens[$i + $k]->word ?? null) !== $word) {
                return 0;
            }
        }

        return \count($words);
    }

    /**
     * @param iterable<string> $phrases
     *
     * @return int tokens of the longest that stands here
     */
    public function longest(int $i, iterable $phrases): int
    {
        $best = 0;
        foreach ($phrases as $phrase) {
            $best = max($best, $this->phrase($i, $phrase));
        }

        return $best;
    }
}
