<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Heat\Flame;
use FeastLadle\Syrup\Stage;
use FeastLadle\Vessel\VesselKind;

/** Finds what the words of a text are: numbers with their units, times, things, verbs, signs, from left to right, the longest first. */
final readonly class Spans
{
    private const MINUTES = ['second' => 1 / 60, 'seconds' => 1 / 60, 'sec' => 1 / 60, 'secs' => 1 / 60, 'minute' => 1.0, 'minutes' => 1.0,
        'min' => 1.0, 'mins' => 1.0, 'hour' => 60.0, 'hours' => 60.0, 'hr' => 60.0, 'hrs' => 60.0, 'h' => 60.0];

    private const LENGTHS = ['mm' => 1.0, 'cm' => 10.0, 'inch' => 25.0, 'inches' => 25.0, 'finger' => 18.0, 'fingers' => 18.0,
        'millimetre' => 1.0, 'millimetres' => 1.0, 'centimetre' => 10.0, 'centimetres' => 10.0];

    /** What is counted and is no amount of a thing. */
    private const COUNTED = ['time', 'times', 'load', 'loads', 'batch', 'batches', 'people', 'persons', 'person', 'guests', 'men', 'man', 'side',
        'sides', 'day', 'days', 'week', 'weeks', 'month', 'months', 'year', 'years', 'part', 'parts', 'layer', 'layers', 'turns', 'turn', 'round',
        'rounds', 'portion', 'portions', 'square', 'squares', 'diamonds', 'balls', 'rings', 'logs', 'plates', 'goes', 'coins', 'stages', 'moulds',
        'fingers', 'pieces each', 'percent', '%', 'palms', 'pots', 'pans', 'hands', 'thing', 'place', 'moment', 'shade', 'while', 'palm',
        'nights', 'night', 'lumps', 'minute'];

    /** Other words of one sort that go by the measure of another. */
    private const SIZES = ['level', 'heaped', 'full', 'small', 'large', 'big', 'good', 'generous', 'rounded', 'fat', 'scant', 'whole', 'more',
        'ripe', 'very', 'medium', 'extra', 'soft', 'dry', 'fresh', 'nice', 'heavy', 'steel', 'tea', 'soup'];

    private const STRING_STAGES = ['0.5' => 'one-string', '1' => 'one-string', '2' => 'two-strings', '3' => 'three-strings'];

    private const BALLS = ['soft ball' => 'soft-ball', 'firm ball' => 'firm-ball', 'hard ball' => 'hard-ball', 'soft crack' => 'soft-crack',
        'hard crack' => 'hard-crack', 'sticky syrup' => 'tacky', 'snap like glass' => 'hard-crack', 'half string' => 'tacky',
        'single string' => 'one-string', 'double string' => 'two-strings', 'thick syrup' => 'tacky'];

    /** Nouns as often as verbs: verbs only where an order may stand. */
    private const NOUNS = ['powder', 'top', 'mark', 'drop', 'cut', 'core', 'shell', 'hull', 'skin', 'stone', 'seed', 'split', 'roast', 'press', 'steam',
        'rest', 'set', 'form', 'mould', 'mold', 'line', 'oil', 'butter', 'cover', 'dust', 'level', 'measure', 'weigh', 'cool', 'dry', 'warm', 'heat',
        'cook', 'grease', 'crown', 'fill', 'fry', 'brown', 'cream', 'filter', 'part', 'roll', 'top up', 'taste', 'try', 'test', 'use', 'need', 'clean',
        'close', 'slip', 'count', 'stand', 'wait', 'leave', 'keep', 'smooth', 'mash', 'mill', 'coil', 'twist', 'crisp', 'sliver', 'slice', 'set', 'pat',
        'mark', 'score', 'balls', 'offer', 'boil', 'season', 'whip', 'pound', 'pit', 'slow', 'mix', 'dip', 'soak'];

    /** Before a verb in an order. */
    private const ORDERS = ['you', 'we', 'i', 'and', 'then', 'to', 'now', 'also', 'only', 'them', 'first', 'people', 'can', 'she', 'he', 'let',
        'again', 'once', 'gently', 'slowly', 'quickly', 'carefully', 'finally', 'next', 'meanwhile', 'so', 'or', 'must', 'minutes', 'hours', 'always',
        'together', 'off', 'in', 'when', 'until', 'flame', 'fire', 'heat', 'pan', 'pot', 'cold', 'hot', 'warm', 'soft', 'they', 'thin', 'thick'];

    public function __construct(private Lexicon $lexicon, private Things $things)
    {
    }

    /** @return list<Span> from one token to another, in their order */
    public function in(Text $text, int $from, int $to): array
    {
        $spans = [];
        for ($i = $from; $i < $to;) {
            $span = $this->at($text, $i, $from, $spans);
            if (null !== $span && $span->next > $i) {
                $spans[] = $span;
                $i = $span->next;
            } else {
                ++$i;
            }
        }

        return $spans;
    }

    /** @param list<Span> $before */
    private function at(Text $text, int $i, int $sentence, array $before): ?Span
    {
        return $this->opener($text, $i, $sentence)
            ?? $this->number($text, $i)
            ?? $this->stage($text, $i)
            ?? $this->manner($text, $i)
            ?? $this->thing($text, $i)
            ?? $this->verb($text, $i, $sentence, $before)
            ?? $this->vague($text, $i)
            ?? $this->vessel($text, $i)
            ?? $this->bareUnit($text, $i);
    }

    private function opener(Text $text, int $i, int $sentence): ?Span
    {
        // "if you like" opens nothing.
        if ($this->lexicon->covers('vague', $text, $i) > 1) {
            return null;
        }
        foreach (
            [
                'others' => SpanKind::Others,
                'ready' => SpanKind::Ready,
                'onTheWay' => SpanKind::OnTheWay,
                'wrong' => SpanKind::Wrong,
                'wish' => SpanKind::Wish,
                'until' => SpanKind::Until,
                'constant' => SpanKind::Constant,
                'watch' => SpanKind::Watch,
                'apart' => SpanKind::Apart,
                'flameOff' => SpanKind::FlameOff,
                'negations' => SpanKind::Negation,
            ] as $list => $kind
        ) {
            $length = $this->lexicon->covers($list, $text, $i);
            if ($length > 0 && ('onTheWay' !== $list || $length > 1)) {
                return new Span($kind, $i, $i + $length);
            }
        }

        // "until" means "so many hours" only with a number behind it; "when", at the start, leads to what is done then.
        return $i === $sentence && $text->is($i, 'when') ? new Span(SpanKind::Until, $i, $i + 1) : null;
    }

    private function number(Text $text, int $i): ?Span
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
        $isShare = $text->is($number->next, 'of') && $text->is($number->next + 1, 'the', 'it', 'them', 'that', 'this', 'its', 'what', 'these');
        if ($isShare) {
            return new Span(SpanKind::Number, $i, $number->next, $number->from, $number->to, isShare: $number->from < 1);
        }
        $at = $number->next;
        while ($text->is($at, ...self::SIZES) && null === (SpokenUnit::in($text, $at) ?? null)) {
            ++$at;
        }

        return $this->time($text, $number, $at) ?? $this->counted($text, $number, $at) ?? $this->measure($text, $number, $at);
    }

    /** "fifty minutes to an hour", "two hours and a half", "a quarter of an hour". */
    private function time(Text $text, NumberAt $number, int $at): ?Span
    {
        $unit = self::MINUTES[$text->at($at)->word ?? ''] ?? null;
        // "then another fifteen"
        if (null === $unit && $text->is($number->first, 'another') && !($text->at($at)?->isWord() ?? false)) {
            return new Span(SpanKind::Time, $number->first, $number->next, $number->from, $number->to);
        }
        if (null === $unit) {
            return null;
        }
        [$from, $to, $next] = [$number->from * $unit, $number->to * $unit, $at + 1];
        $part = Numbers::andPart($text, $next);
        if (null !== $part) {
            [$from, $to, $next] = [$from + $part[0] * $unit, $to + $part[0] * $unit, $part[1]];
        }
        $join = $text->is($next, 'to', 'or', '-', '–', 'and') ? Numbers::near($text, $next + 1) : null;
        $more = null === $join ? null : self::MINUTES[$text->at($join->next)->word ?? ''] ?? null;
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

        return \in_array($word, self::COUNTED, true) && !($text->is($number->first, 'a', 'an') && null !== SpokenUnit::in($text, $at))
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
        if (SpokenUnit::Kilogram === $unit[0] && \in_array($from, [0.5, 0.25], true) && TokenKind::Number !== $text->at($number->first)?->kind) {
            return new Span(SpanKind::Measure, $number->first, $next, 1000 * $from, 1000 * $to, SpokenUnit::Gram);
        }
        // "1 cup + 2 tbsp sugar", "a cup plus two spoons of sugar": one amount.
        $more = $text->is($next, '+', 'plus') ? Numbers::near($text, $next + 1) : null;
        $moreUnit = null === $more ? null : SpokenUnit::in($text, $more->next);
        if (null !== $more && null !== $moreUnit) {
            $times = self::ratio($moreUnit[0], $unit[0]);
            if (null !== $times) {
                return new Span(SpanKind::Measure, $number->first, $moreUnit[1], $from + $times * $more->from, $to + $times * $more->to, $unit[0]);
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

    private function bareUnit(Text $text, int $i): ?Span
    {
        $unit = SpokenUnit::in($text, $i);

        return null !== $unit && ($text->is($unit[1], 'of') || null !== $this->things->at($text, $unit[1])) && \strlen($text->at($i)->word ?? '') > 2
            ? new Span(SpanKind::Measure, $i, $unit[1], 1.0, 1.0, $unit[0], isBare: true)
            : null;
    }

    private function stage(Text $text, int $i): ?Span
    {
        foreach (self::BALLS as $words => $stage) {
            $length = $text->phrase($i, $words);
            if ($length > 0) {
                return new Span(SpanKind::Stage, $i, $i + $length, stage: Stage::from($stage));
            }
        }

        return null;
    }

    private function manner(Text $text, int $i): ?Span
    {
        foreach ($this->lexicon->fires as $flame => $words) {
            $length = $text->longest($i, $words);
            if (0 === $length) {
                continue;
            }
            // "low" is a flame only beside one, or by itself between commas.
            $at = $i + $length;
            $isBeside = $this->lexicon->isIn('flame', $text->at($at)->word ?? '') || 1 === preg_match('/flame|fire|^sim|gently/', $text->words($i, $at));
            $isAlone = (0 === $i || $text->is($i - 1, ',', 'on', '.', ':', ';')) && (null === $text->at($at) || $text->is($at, ',', '.', ':', ';', 'until', 'till'));
            if ($isBeside || $isAlone) {
                $at += $this->lexicon->isIn('flame', $text->at($at)->word ?? '') ? 1 : 0;

                return new Span(SpanKind::Fire, $i, $at, flame: Flame::from($flame));
            }
        }

        return null;
    }

    private function thing(Text $text, int $i): ?Span
    {
        $thing = $this->things->at($text, $i);
        // "oil your knife", "butter the tray"
        if (null !== $thing && $text->is($i, 'oil', 'butter') && $thing[1] === $i + 1 && $text->is($i + 1, 'the', 'your', 'a', 'it', 'them', 'two')) {
            return new Span(SpanKind::Verb, $i, $i + 1, action: Action::Grease, form: VerbForm::Plain);
        }

        return null === $thing ? null : new Span(SpanKind::Thing, $i, $thing[1], thing: $thing[0]);
    }

    /** @param list<Span> $before */
    private function verb(Text $text, int $i, int $sentence, array $before): ?Span
    {
        $verb = $this->lexicon->verb($text, $i);
        if (null === $verb) {
            return null;
        }
        [$action, $form, $next] = $verb;
        $previous = $text->at($i - 1)->word ?? '';
        // "the roast", "a good boil": a noun; "a roasted nut": how it is.
        if (
            VerbForm::Plain === $form
            && 1 === $next - $i
            && \in_array($previous, ['the', 'a', 'an', 'this', 'that', 'no', 'its', 'of', 'our', 'good', 'wet'], true)
        ) {
            return null;
        }
        $last = [] === $before ? null : $before[\count($before) - 1];
        if (VerbForm::Plain === $form && 1 === $next - $i && \in_array($text->at($i)->word ?? '', self::NOUNS, true)) {
            $isBegun = $i === $sentence || 0 === $i || !$text->at($i - 1)?->isWord() || $text->is($i - 1, ...self::ORDERS);
            // "the sesame dry", "jaggery powder", "on top"; "dry, in a wide pan"
            $isOrder = $text->is($next, 'the', 'it', 'them', 'these', 'this', 'each', 'all');
            $isHow = $text->is($i, 'dry', 'oil', 'butter', 'brown', 'cool', 'warm', 'crisp', 'clean', 'level', 'smooth', 'close', 'set')
                && (!($text->at($next)?->isWord() ?? false) || ($text->is($i - 1, 'and', 'or') && !$text->is($next, 'for', 'down')));
            if (!$isOrder && (!$isBegun || $isHow || ($last?->next === $i && $last->is(SpanKind::Thing)))) {
                return null;
            }
        }

        return new Span(SpanKind::Verb, $i, $next, action: $action, form: $form);
    }

    private function vague(Text $text, int $i): ?Span
    {
        $length = $this->lexicon->covers('vague', $text, $i);

        return 0 === $length ? null : new Span(SpanKind::Vague, $i, $i + $length);
    }

    private function vessel(Text $text, int $i): ?Span
    {
        foreach ($this->lexicon->vessels as $kind => $words) {
            $length = $text->longest($i, $words);
            $length = 0 === $length && str_ends_with($text->at($i)->word ?? '', 's')
                && \in_array(substr($text->at($i)->word ?? '', 0, -1), $words, true) ? 1 : $length;
            if ($length > 0) {
                return new Span(SpanKind::Vessel, $i, $i + $length, vessel: VesselKind::from($kind));
            }
        }

        return null;
    }
}
