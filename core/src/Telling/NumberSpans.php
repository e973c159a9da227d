<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Syrup\Stage;

/** What a number of a text is a number of: a measure, a time, a length, a count of people. */
final readonly class NumberSpans
{
    private const MINUTES = ['second' => 1 / 60, 'seconds' => 1 / 60, 'sec' => 1 / 60, 'secs' => 1 / 60, 'minute' => 1.0, 'minutes' => 1.0,
        'min' => 1.0, 'mins' => 1.0, 'hour' => 60.0, 'hours' => 60.0, 'hr' => 60.0, 'hrs' => 60.0, 'h' => 60.0];

    private const LENGTHS = ['mm' => 1.0, 'cm' => 10.0, 'inch' => 25.0, 'inches' => 25.0, 'finger' => 18.0, 'fingers' => 18.0,
        'millimetre' => 1.0, 'millimetres' => 1.0, 'centimetre' => 10.0, 'centimetres' => 10.0];

    private const STRING_STAGES = ['0.5' => 'one-string', '1' => 'one-string', '2' => 'two-strings', '3' => 'three-strings'];

    public function __construct(private Lexicon $lexicon, private Things $things)
    {
    }

    public function number(Text $text, int $i): ?Span
    {
        if ($text->is($i, 'overnight') || $text->phrase($i, 'over night') > 0) {
            return new Span(SpanKind::Time, $i, $i + ($text->is($i, 'over') ? 2 : 1), 480.0, 480.0);
        }
        if ($text->phrase($i, 'a day and a night') > 0) {
            return new Span(SpanKind::Time, $i, $i + 5, 1440.0, 1440.0);
        }
        $number = Numbers::near($text, $i);
        if (null === $number) {
            return null;
        }
        $isShare = $text->is($number->next, 'of')
            && $text->is($number->next + 1, 'the', 'it', 'them', 'that', 'this', 'its', 'what', 'these');
        if ($isShare) {
            return new Span(SpanKind::Number, $i, $number->next, $number->from, $number->to, isShare: $number->from < 1);
        }
        $at = $number->next;
        while ($this->lexicon->isIn('sizes', $text->at($at)->word ?? '') && null === (SpokenUnit::in($text, $at) ?? null)) {
            ++$at;
        }

        return $this->time($text, $number, $at) ?? $this->counted($text, $number, $at) ?? $this->measure($text, $number, $at);
    }

    /** "fifty minutes to an hour", "two hours and a half", "a quarter of an hour". */
    private function time(Text $text, NumberAt $number, int $at): ?Span
    {
        $unit = self::MINUTES[$text->at($at)->word ?? ''] ?? null;
        // "then another fifteen", "five minutes, then on low for twenty"
        $isMinutes = $text->is($number->first, 'another') || ($text->is($number->first - 1, 'for')
            && 1 === preg_match('/\bminutes\b/i', $text->words(max(0, $number->first - 14), $number->first)));
        if (null === $unit && $isMinutes && !($text->at($at)?->isWord() ?? false)) {
            return new Span(SpanKind::Time, $number->first, $number->next, $number->from, $number->to);
        }
        // "a second milk"
        if (null === $unit || ($text->is($at, 'second') && $text->is($number->first, 'a', 'the', 'one'))) {
            return null;
        }
        [$from, $to, $next] = [$number->from * $unit, $number->to * $unit, $at + 1];
        $part = Numbers::andPart($text, $next);
        if (null !== $part) {
            [$from, $to, $next] = [$from + $part[0] * $unit, $to + $part[0] * $unit, $part[1]];
        }
        $join = $text->is($next, 'to', 'or', '-', '–', 'and') ? Numbers::near($text, $next + 1) : null;
        $more = null === $join ? null : self::MINUTES[$text->at($join->next)->word ?? ''] ?? null;
        // "an hour and ten"
        if (60.0 === $unit && null !== $join && null === $more && $text->is($next, 'and') && $join->from >= 5 && $join->from <= 55
            && 0.0 === fmod($join->from, 5.0) && !($text->at($join->next)?->isWord() ?? false)) {
            return new Span(SpanKind::Time, $number->first, $join->next, $from + $join->from, $to + $join->to);
        }
        if (null !== $join && null !== $more) {
            $second = $join->to * $more;
            if ($text->is($next, 'and')) {
                // "an hour and twenty minutes"
                if ($more < $unit) {
                    return new Span(SpanKind::Time, $number->first, $join->next + 1, $from + $second, $to + $second);
                }
            } elseif ($second > $from) {
                return new Span(SpanKind::Time, $number->first, $join->next + 1, $from, $second);
            }
        }

        return new Span(SpanKind::Time, $number->first, $next, $from, $to);
    }

    private function counted(Text $text, NumberAt $number, int $at): ?Span
    {
        $word = $text->at($at)->word ?? '';
        if (\in_array($word, ['whistle', 'whistles', 'release', 'releases'], true)) {
            return new Span(SpanKind::Releases, $number->first, $at + 1, $number->from, $number->to);
        }
        if (\in_array($word, ['string', 'strings', 'thread', 'threads'], true) && $number->from <= 3 && !$text->is($at + 1, 'of')
            && !$text->is($number->first, 'a', 'an')) {
            $stage = self::STRING_STAGES[(string) $number->from] ?? null;
            if (null !== $stage && !$text->is($at + 1, 'saffron')) {
                return new Span(SpanKind::Stage, $number->first, $at + 1, stage: Stage::from($stage));
            }
        }
        if (1 === preg_match('/^(?:°.*|degrees?)$/u', $word)) {
            return new Span(SpanKind::Celsius, $number->first, $at + ($text->is($at + 1, 'c') ? 2 : 1), $number->from, $number->to);
        }
        if (isset(self::LENGTHS[$word])) {
            $mm = self::LENGTHS[$word];

            return new Span(SpanKind::Length, $number->first, $at + 1, $number->from * $mm, $number->to * $mm);
        }

        return $this->lexicon->isIn('counted', $word) && !($text->is($number->first, 'a', 'an') && null !== SpokenUnit::in($text, $at))
            ? new Span(SpanKind::Count, $number->first, $at + 1, $number->from, $number->to)
            : null;
    }

    private function measure(Text $text, NumberAt $number, int $at): ?Span
    {
        $thing = $this->things->at($text, $at);
        $unit = SpokenUnit::in($text, $at);
        // "two cloves" are cloves where nothing is named behind them; "gram flour" is no gram of flour.
        if (null !== $unit && null !== $thing && ($thing[1] > $unit[1] || !$this->namesSomething($text, $unit[1]))) {
            $unit = null;
        }
        if (null === $unit) {
            // "a" without a unit counts only what is counted.
            $isOne = $text->is($number->next - 1, 'a', 'an', 'another');

            return $isOne && null === $thing ? null : new Span(SpanKind::Number, $number->first, $number->next, $number->from, $number->to);
        }
        [$from, $to, $next] = [$number->from, $number->to, $unit[1]];
        $part = Numbers::andPart($text, $next);
        if (null !== $part) {
            [$from, $to, $next] = [$from + $part[0], $to + $part[0], $part[1]];
        }
        // "200 g" and "half a kilo" are the same sort of saying; a kilo that is halved is said in grams.
        if (
            SpokenUnit::Kilogram === $unit[0]
            && \in_array($from, [0.5, 0.25], true)
            && TokenKind::Number !== $text->at($number->first)?->kind
        ) {
            return new Span(SpanKind::Measure, $number->first, $next, 1000 * $from, 1000 * $to, SpokenUnit::Gram);
        }
        // "1 cup + 2 tbsp sugar", "a cup plus two spoons of sugar": one amount.
        $more = $text->is($next, '+', 'plus') || ($text->is($next, 'and')
            && \in_array($unit[0], [SpokenUnit::Kilogram, SpokenUnit::Litre], true))
            ? Numbers::near($text, $next + 1)
            : null;
        $moreUnit = null === $more ? null : SpokenUnit::in($text, $more->next);
        // "a kilo and 800 g of jaggery" is one amount, "a kilo and a litre of milk" two.
        if ($text->is($next, 'and') && !\in_array($moreUnit[0] ?? null, [SpokenUnit::Gram, SpokenUnit::Millilitre], true)) {
            $more = null;
        }
        if (null !== $more && null !== $moreUnit) {
            $times = self::ratio($moreUnit[0], $unit[0]);
            if (null !== $times) {
                return new Span(
                    SpanKind::Measure,
                    $number->first,
                    $moreUnit[1],
                    $from + $times * $more->from,
                    $to + $times * $more->to,
                    $unit[0],
                );
            }
        }

        return new Span(SpanKind::Measure, $number->first, $next, $from, $to, $unit[0]);
    }

    /** How many of one unit another is, where both are of weight or both of volume; a cup as a metric one. */
    private static function ratio(SpokenUnit $of, SpokenUnit $in): ?float
    {
        if (null !== $of->grams() && null !== $in->grams()) {
            return $of->grams() / $in->grams();
        }
        [$over, $under] = [$of->isLoose() ? null : $of->millilitres(240.0), $in->isLoose() ? null : $in->millilitres(240.0)];

        return null === $over || null === $under ? null : $over / $under;
    }

    /** Whether the name of something may follow here. */
    private function namesSomething(Text $text, int $i): bool
    {
        while ($text->is($i, 'of') || $this->lexicon->isIn('states', $text->at($i)->word ?? '')) {
            ++$i;
        }

        return null !== $this->things->at($text, $i);
    }

    public function bareUnit(Text $text, int $i): ?Span
    {
        $unit = SpokenUnit::in($text, $i);

        return null !== $unit && (
            $text->is($unit[1], 'of')
            || null !== $this->things->at($text, $unit[1])
        ) && \strlen($text->at($i)->word ?? '') > 2
            ? new Span(SpanKind::Measure, $i, $unit[1], 1.0, 1.0, $unit[0], isBare: true)
            : null;
    }
}
