<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/**
 * Reads numbers as they are written and said: "2", "1 1/2", "1½", "2.5", "half a", "one and a half", "a hundred and eighty", "half a
 * dozen", "a couple", "two to three", "five to six hundred".
 */
final class Numbers
{
    private const SIGNS = ['½' => 0.5, '¼' => 0.25, '¾' => 0.75, '⅓' => 1 / 3, '⅔' => 2 / 3, '⅛' => 0.125, '⅜' => 0.375,
        '⅝' => 0.625, '⅞' => 0.875];

    private const ONES = ['one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'seven' => 7, 'eight' => 8,
        'nine' => 9, 'ten' => 10, 'eleven' => 11, 'twelve' => 12, 'thirteen' => 13, 'fourteen' => 14, 'fifteen' => 15, 'sixteen' => 16,
        'seventeen' => 17, 'eighteen' => 18, 'nineteen' => 19, 'single' => 1, 'both' => 2];

    private const TENS = ['twenty' => 20, 'thirty' => 30, 'forty' => 40, 'fourty' => 40, 'fifty' => 50, 'sixty' => 60, 'seventy' => 70,
        'eighty' => 80, 'ninety' => 90];

    private const PARTS = ['half' => 0.5, 'quarter' => 0.25, 'third' => 1 / 3, 'quarters' => 0.25, 'thirds' => 1 / 3, 'fifth' => 0.2,
        'eighth' => 0.125, 'tenth' => 0.1, 'quater' => 0.25];

    /** Words before a number that do not change it. */
    private const ABOUT = ['about', 'around', 'roughly', 'nearly', 'approximately', 'approx', 'say', 'maybe', 'perhaps', 'almost', 'near',
        'some', 'another', 'only', 'just', 'exactly', 'hardly', 'barely', 'over', '~', 'good', 'full', 'solid', 'heaped', 'level',
        'generous', 'rounded', 'scant'];

    /** Larger numbers are slips of the pen. */
    private const LARGEST = 1_000_000.0;

    /** The number that begins here. */
    public static function at(Text $text, int $i): ?NumberAt
    {
        $first = self::one($text, $i);
        if (null === $first) {
            return null;
        }
        [$from, $next] = $first;
        if ($text->is($next, '-', '–', '—', 'to', 'or', 'till')) {
            $second = self::one($text, $next + 1);
            if (null !== $second) {
                // "five to six hundred"
                $isHundreds = $from < 10 && $second[0] >= 100 && $text->is($second[1] - 1, 'hundred', 'thousand');
                $least = $isHundreds ? $from * ($text->is($second[1] - 1, 'hundred') ? 100 : 1000) : $from;
                if ($second[0] > $least && $second[0] < 20 * $least) {
                    return new NumberAt($least, $second[0], $i, $second[1]);
                }
            }
        }

        return new NumberAt($from, $from, $i, $next);
    }

    /** The number that begins here or after words like "about"; null when none does. */
    public static function near(Text $text, int $i): ?NumberAt
    {
        $at = $i;
        while ($text->is($at, ...self::ABOUT)) {
            ++$at;
        }
        // "a good half", "a full cup"
        if ($text->is($at, 'a', 'an') && $text->is($at + 1, ...self::ABOUT)) {
            $number = self::at($text, $at + 2);

            return new NumberAt($number->from ?? 1.0, $number->to ?? 1.0, $i, $number->next ?? $at + 2);
        }
        $number = self::at($text, $at);

        return null === $number ? null : new NumberAt($number->from, $number->to, $i, $number->next);
    }

    /**
     * "and a half", "and a quarter", also after a unit, as in "a cup and a half".
     *
     * @return array{float, int}|null what it adds, and where it ends
     */
    public static function andPart(Text $text, int $i): ?array
    {
        if (!$text->is($i, 'and')) {
            return null;
        }
        $at = $i + 1;
        $count = 1.0;
        if ($text->is($at, 'a', 'an', 'one')) {
            ++$at;
        } elseif ($text->is($at, 'two', 'three') && isset(self::PARTS[$text->at($at + 1)->word ?? ''])) {
            $count = self::ONES[$text->at($at)->word ?? ''] ?? 1.0;
            ++$at;
        }
        $part = self::PARTS[$text->at($at)->word ?? ''] ?? null;
        // "a litre and half a kilo": that half is another amount.
        if (null === $part || $text->is($at + 1, 'a', 'an') || ($text->is($at + 1, 'of') && $text->is($at + 2, 'a', 'an'))) {
            return null;
        }

        return [$count * $part, $at + 1];
    }

    /** @return array{float, int}|null the value and the next token */
    private static function one(Text $text, int $i): ?array
    {
        $token = $text->at($i);
        $read = match (true) {
            null === $token => null,
            TokenKind::Number === $token->kind => self::digits($text, $i),
            TokenKind::Fraction === $token->kind => [self::SIGNS[$token->word] ?? 0.0, $i + 1],
            default => self::spoken($text, $i),
        };
        if (null === $read || $read[0] <= 0 || $read[0] > self::LARGEST) {
            return null;
        }

        return $read;
    }

    /** @return array{float, int}|null */
    private static function digits(Text $text, int $i): ?array
    {
        $word = $text->at($i)->word ?? '';
        $value = (float) (1 === preg_match('/^\d{1,3}(,\d{3})+/', $word) ? str_replace(',', '', $word) : str_replace(',', '.', $word));
        $next = $i + 1;
        // "1/2", "1 1/2", "1½"
        if ($text->is($next, '/', '⁄') && TokenKind::Number === $text->at($next + 1)?->kind) {
            $under = (float) self::word($text, $next + 1);

            return 0.0 === $under ? null : [$value / $under, $next + 2];
        }
        if (
            TokenKind::Number === $text->at($next)?->kind
            && $text->is($next + 1, '/', '⁄')
            && TokenKind::Number === $text->at($next + 2)?->kind
        ) {
            $under = (float) self::word($text, $next + 2);

            return 0.0 === $under ? null : [$value + (float) self::word($text, $next) / $under, $next + 3];
        }
        if (TokenKind::Fraction === $text->at($next)?->kind) {
            return [$value + (self::SIGNS[self::word($text, $next)] ?? 0.0), $next + 1];
        }

        return self::mixed($text, $value, $next);
    }

    /** @return array{float, int}|null */
    private static function spoken(Text $text, int $i, int $depth = 0): ?array
    {
        $word = $text->at($i)->word ?? '';
        // "half a dozen", "half a cup", "half of", "a quarter of a", "three quarters of a", "two thirds"
        $at = $i;
        $count = 1.0;
        if (\in_array($word, ['a', 'an', 'one', 'two', 'three', 'the'], true) && isset(self::PARTS[$text->at($i + 1)->word ?? ''])) {
            if ('the' === $word) {
                return null;
            }
            $count = (float) (self::ONES[$word] ?? 1);
            $at = $i + 1;
        }
        $part = self::PARTS[$text->at($at)->word ?? ''] ?? null;
        if (null !== $part) {
            $next = $at + 1;
            if ($text->is($next, 'dozen') || ($text->is($next, 'a', 'of') && $text->is($next + 1, 'dozen'))) {
                return [12 * $count * $part, $text->is($next, 'dozen') ? $next + 1 : $next + 2];
            }
            if ($text->is($next, 'of') && $text->is($next + 1, 'a', 'an')) {
                $next += 2;
            } elseif ($text->is($next, 'a', 'an')) {
                ++$next;
            }

            return [$count * $part, $next];
        }
        if (\in_array($word, ['a', 'an', 'another'], true)) {
            return self::afterA($text, $i + 1, $depth);
        }
        if ('dozen' === $word) {
            return [12.0, $i + 1];
        }
        if ('hundred' === $word || 'thousand' === $word) {
            return self::large($text, 1.0, $i, $depth);
        }
        $ones = self::ONES[$word] ?? null;
        if (null !== $ones) {
            return self::large($text, (float) $ones, $i + 1, $depth);
        }
        $tens = self::TENS[$word] ?? null;
        if (null !== $tens) {
            $more = self::ONES[$text->at($i + 1)->word ?? ''] ?? 0;

            return $more > 0 && $more < 10
                ? self::large($text, (float) $tens + $more, $i + 2, $depth)
                : self::large($text, (float) $tens, $i + 1, $depth);
        }

        return null;
    }

    /** @return array{float, int} */
    private static function afterA(Text $text, int $i, int $depth): array
    {
        if ($text->is($i, 'couple')) {
            return [2.0, $text->is($i + 1, 'of') ? $i + 2 : $i + 1];
        }
        if ($text->is($i, 'dozen')) {
            return [12.0, $i + 1];
        }

        return $text->is($i, 'hundred', 'thousand') ? self::large($text, 1.0, $i, $depth) : [1.0, $i];
    }

    /**
     * What is counted so far, with "hundred", "thousand", "and eighty", "and a half" behind it.
     *
     * @return array{float, int}
     */
    private static function large(Text $text, float $value, int $i, int $depth): array
    {
        if ($text->is($i, 'dozen')) {
            return [12 * $value, $i + 1];
        }
        foreach (['hundred' => 100, 'thousand' => 1000] as $word => $times) {
            if (!$text->is($i, $word, $word.'s')) {
                continue;
            }
            $value *= $times;
            ++$i;
            $at = $text->is($i, 'and') ? $i + 1 : $i;
            $rest = $text->at($at)->word ?? '';
            // Thousands hold hundreds, and hundreds nothing of the kind.
            if ($depth < 2 && (isset(self::ONES[$rest]) || isset(self::TENS[$rest]))) {
                $more = self::spoken($text, $at, $depth + 1);
                if (null !== $more && $more[0] < $times) {
                    return [$value + $more[0], $more[1]];
                }
            }

            return [$value, $i];
        }

        return self::mixed($text, $value, $i);
    }

    /**
     * "and a half", "and three quarters" right behind the number.
     *
     * @return array{float, int}
     */
    private static function mixed(Text $text, float $value, int $next): array
    {
        $part = self::andPart($text, $next);

        return null === $part ? [$value, $next] : [$value + $part[0], $part[1]];
    }

    private static function word(Text $text, int $i): string
    {
        return $text->at($i)->word ?? '';
    }
}
