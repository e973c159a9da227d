<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** What is said of the whole: how many it makes, how long it keeps, how it is served. */
final readonly class Frame
{
    private const PERIOD = ['hour' => 'hours', 'day' => 'days', 'week' => 'weeks', 'month' => 'months', 'year' => 'years'];

    /**
     * @param string|null $makes  pieces, bowls or guests
     * @param string|null $keeps  as "3 days"
     * @param string|null $served hot, warm, cold
     */
    /** "warm it up before you bring it to the table" */
    public const WARMED_AGAIN = '/\b(?:warm|heat) (?:it|them)\b.*\b(?:before (?:you )?(?:serve|serving|bring|eat|eating)|to the table'
        .'|to serve)\b/i';

    public function __construct(public string $name, public ?string $makes, public ?string $keeps, public ?string $served)
    {
    }

    public static function of(Text $text): self
    {
        $makes = $keeps = $served = null;
        $kept = $titled = null;
        foreach ($text->sentences as $k => [$from, $to]) {
            for ($i = $from; $i < $to; ++$i) {
                $makes ??= self::makes($text, $i, $from, $to);
                $keeps ??= self::keeps($text, $i, $from, $to);
            }
            $words = (string) preg_replace('/\s+/', ' ', $text->words($from, $to));
            $served ??= self::served($words);
            // "keep it hot" says it where nothing else does, and "rice in milk, cold" by its name.
            if (1 === preg_match('/\bkeep (?:it|them) (hot|warm|cold)\b/i', $words, $match)) {
                $kept ??= self::as($match[1]);
            }
            if (0 === $k && 1 === preg_match('/, (?:\p{L}+ )?(hot|warm|cold|chilled)\W*$/iu', $words, $match)) {
                $titled = self::as($match[1]);
            }
        }
        $served ??= $titled ?? $kept;

        return new self(self::name($text), $makes, $keeps, $served);
    }

    private static function makes(Text $text, int $i, int $from, int $to): ?string
    {
        $at = null;
        if (
            $text->is($i, 'dishes', 'makes', 'make', 'made', 'gives', 'give', 'serves', 'serve', 'yields', 'feeds', 'gets')
            || ($text->is($i, 'get') && $text->is($i - 1, 'you'))
        ) {
            $at = $i + 1;
        } elseif ($text->phrase($i, 'comes to') > 0 || $text->phrase($i, 'come to') > 0 || $text->phrase($i, 'enough for') > 0) {
            $at = $i + 2;
        } elseif ($text->is($i, 'for') && ($i === $from || (Numbers::near($text, $i + 1)?->next >= $to && $text->is($i - 1, ',')))) {
            $at = $i + 1;
        } elseif ($i === $from) {
            $at = $i;
        }
        $shaped = $text->is($i, 'form', 'shape', 'roll', 'rolls', 'shapes') ? Numbers::near($text, $i + 1) : null;
        if (
            null !== $shaped
            && 1 === preg_match(
                '/^(?:\p{L}+ )?(?:balls|rings|pieces|discs|logs|parcels)\b/u',
                $text->words($shaped->next, $shaped->next + 4),
            )
        ) {
            return (string) round($shaped->from, 2);
        }
        // "for a wedding breakfast of 80"
        if ($text->is($i, 'of') && $from === ($text->sentences[0][0] ?? -1) && 1 === preg_match('/\bfor\b/i', $text->words($from, $i))) {
            $guests = Numbers::at($text, $i + 1);
            if (null !== $guests && $guests->from >= 10 && $guests->next >= $to) {
                return (string) round($guests->from);
            }
        }
        // "this is for the big pot, two hundred people"
        if ($from === ($text->sentences[0][0] ?? -1) && ($text->is($i - 1, ',') || $i === $from)) {
            $guests = Numbers::near($text, $i);
            if (null !== $guests && $guests->from >= 10 && $text->is($guests->next, 'people', 'guests', 'persons', 'heads', 'eaters',
                'glasses', 'bowls', 'portions', 'plates')) {
                return (string) round($guests->from);
            }
        }
        // "Warm or cold, for twelve people"
        if ($text->is($i, 'for')) {
            $guests = Numbers::near($text, $i + 1);
            if (null !== $guests && $text->is($guests->next, 'people', 'guests', 'persons') && $guests->next + 1 >= $to) {
                return (string) round($guests->from);
            }
        }
        // "rain clouds, for a hundred", "it's for ten"
        if ($text->is($i, 'for') && $text->is($i - 1, "it's", 'is')) {
            $at = $i + 1;
        }
        if ($text->is($i, 'for') && $from === ($text->sentences[0][0] ?? -1)) {
            $guests = Numbers::near($text, $text->is($i + 1, 'a') && $text->is($i + 2, 'hundred') ? $i + 1 : $i + 1);
            if (null !== $guests && $guests->from >= 10 && ($guests->next >= $to
                || $text->is($guests->next, ',', 'people', 'guests', 'and'))) {
                return (string) round($guests->from);
            }
        }
        // "divide it into eighteen"
        if ($text->is($i, 'into', 'in') && 1 === preg_match('/\bdivide|\bpart\b|\bcut\b/i', $text->words($from, $i))) {
            $at = $i + 1;
        }
        if (null === $at) {
            return null;
        }
        while ($text->is($at, 'about', 'around', 'roughly', 'near', 'nearly', 'it')) {
            ++$at;
        }
        $number = Numbers::near($text, $at);
        if (null === $number || $text->is($at, 'a', 'an') && !$text->is($at + 1, 'dozen', 'hundred')) {
            return null;
        }
        // "Forty small pieces"
        $after = $number->next + ($text->is($number->next, 'small', 'large', 'big', 'little', 'good', 'thin', 'thick') ? 1 : 0);
        $next = $text->at($after)->word ?? '.';
        if ($number->from < 2) {
            return null;
        }
        $isCounted = 1 === preg_match(
            '/^(?:pieces?|bowls?|glasses|cups|people|persons|guests|small|balls|squares|fingers|as|in|of|or|each|,|rings|diamonds|cakes'
                .'|servings|portions|wedges|with|for|if|because|and|\.|\?|eaters|heads|plates|parcels|bars|breads|slices|cubes|rolls)$/u',
            $next,
        )
            || $number->next >= $to;
        $isShort = $i === $from
            && !$text->is($i, 'for')
            && !$text->is($i, 'makes', 'gives', 'serves', 'yields', 'feeds', 'comes', 'enough');
        $counted = '/^(?:pieces?|bowls?|glasses|cups|people|guests|balls|squares|servings|portions|fingers|plates|parcels|bars|breads'
            .'|slices'
            .'|cubes|rolls)$/';
        // "About fifty." by itself
        $isAbout = $i === $from && $text->is($i, 'about', 'around', 'roughly', 'nearly') && $number->next >= $to;
        // "Two cups water" is no yield; "Six bowls, warm" is one.
        $goesOn = $number->next + 1 < $to
            && !$text->is($number->next + 1, ',', 'they', 'it', 'in', 'and', 'warm', 'hot', 'cold');
        if (!$isCounted || (!$isAbout && $isShort && ($goesOn || 1 !== preg_match($counted, $next)))) {
            return null;
        }

        return (string) round($number->from, 2);
    }

    private static function keeps(Text $text, int $i, int $from, int $to): ?string
    {
        if ($i === $from && 1 === preg_match('/^\W*(?:on )?(?:the )?same day\b/i', $text->words($i, $to))) {
            return '1 day';
        }
        $says = $text->is($i, 'keep', 'keeps', 'last', 'lasts', 'good', 'wait', 'soft', 'stays', 'use', 'eat', 'holds', 'crisp', 'fresh',
            'fine', 'eaten')
            || ($text->is($i, 'hold', 'stay') && $text->is($i - 1, 'they', 'it', 'and'));
        // "tin, airtight, three weeks easy"
        $isAlone = $i === $from || ($text->is($i - 1, ',')
            && 1 === preg_match('/\b(?:tin|jar|box|airtight|covered|closed)\b/i', $text->words($from, $i)));
        // "keep stirring", "keep it bubbling" is no keeping.
        $isDoing = str_ends_with($text->at($i + 1)->word ?? '', 'ing')
            || ($text->is($i + 1, 'it', 'them') && (str_ends_with($text->at($i + 2)->word ?? '', 'ing')
                || $text->is($i + 2, 'at', 'on', 'over', 'under', 'near', 'by')));
        if ((!$says && !$isAlone) || $isDoing) {
            return null;
        }
        for ($at = $isAlone ? $i : $i + 1; $at < min($to, $i + 9); ++$at) {
            if (
                $says
                && ($text->phrase($at, 'same day') > 0 || $text->phrase($at, 'next day') > 0 || $text->phrase($at, 'within the day') > 0)
            ) {
                return '1 day';
            }
            $number = Numbers::near($text, $at);
            $word = null === $number ? '' : ($text->at($number->next)->word ?? '');
            $one = rtrim($word, 's');
            if (null !== $number && isset(self::PERIOD[$one]) && ('hour' !== $one || $says)) {
                // "rest for two hours" is no keeping; "stands for four hours" at the end is.
                if ('hour' === $one && !$text->is($i, 'wait', 'keep', 'keeps', 'stand')) {
                    return null;
                }

                return round($number->from, 2).' '.(1.0 === $number->from || $number->from < 1 ? $one : self::PERIOD[$one]);
            }
            if ($isAlone && !$says) {
                return null;
            }
        }

        return null;
    }

    private static function served(string $sentence): ?string
    {
        if (
            1 === preg_match(
                '/\b(?:serve[ds]?|ladle|dish|eat|eaten|drink|drunk|offered|nicest|best|good)\b(?: it| them| that)?(?: out'
                    .'| up)?(?: straight)?,? ?(hot|warm|lukewarm|cold'
                    .'|chilled|at once|straight away|immediately)\b/i',
                $sentence,
                $match,
            )
        ) {
            return self::as($match[1]);
        }
        if (1 === preg_match('/^(hot|warm|lukewarm|cold|chilled)\b,? (?:in|with|for|on|straight|from|\p{L}+ in)\b/iu', $sentence, $match)) {
            return self::as($match[1]);
        }

        if (1 === preg_match(self::WARMED_AGAIN, $sentence)) {
            return 'warm';
        }
        if (
            1 === preg_match('/\bat room (?:heat|temperature)\b/i', $sentence)
            && 1 === preg_match('/\b(?:serve[ds]?|eat|eaten|offer(?:ed)?|portions|pieces|people|guests|nicest|best)\b/i', $sentence)
        ) {
            return 'room';
        }

        return 1 === preg_match(
            '/\b(?:bowls|cups|for each|portions|plates|glasses|serves \p{L}+),? (?:of it )?(hot|warm|cold)\b|^\W*(hot|warm|cold)\W*$/iu',
            $sentence,
            $match,
        ) ? self::as('' === $match[1] ? $match[2] : $match[1]) : null;
    }

    private static function as(string $word): string
    {
        return match (mb_strtolower($word)) {
            'lukewarm' => 'warm',
            'chilled' => 'cold',
            'at once', 'straight away', 'immediately' => 'hot',
            default => mb_strtolower($word),
        };
    }

    /** A short first sentence without a verb is the name. */
    private static function name(Text $text): string
    {
        [$from, $to] = $text->sentences[0] ?? [0, 0];
        for ($i = $from; $i < $to; ++$i) {
            if ($text->is($i, ',', ':', '(')) {
                $to = $i;
            }
        }

        return $to - $from <= 7 ? ucfirst(trim($text->words($from, $to))) : '';
    }
}
