<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Heat\Flame;
use FeastLadle\Syrup\Stage;
use FeastLadle\Vessel\VesselKind;

/** Finds what the words of a text are: numbers with their units, times, things, verbs, signs, from left to right, the longest first. */
final readonly class Spans
{
    private const BALLS = ['soft ball' => 'soft-ball', 'firm ball' => 'firm-ball', 'hard ball' => 'hard-ball', 'soft crack' => 'soft-crack',
        'hard crack' => 'hard-crack', 'sticky syrup' => 'tacky', 'snap like glass' => 'hard-crack', 'half string' => 'tacky',
        'single string' => 'one-string', 'double string' => 'two-strings', 'thick syrup' => 'tacky'];

    private NumberSpans $numbers;

    public function __construct(private Lexicon $lexicon, private Things $things)
    {
        $this->numbers = new NumberSpans($lexicon, $things);
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
            ?? $this->numbers->number($text, $i)
            ?? $this->stage($text, $i)
            ?? $this->manner($text, $i)
            ?? $this->thing($text, $i)
            ?? $this->verb($text, $i, $sentence, $before)
            ?? $this->vague($text, $i)
            ?? $this->vessel($text, $i)
            ?? $this->numbers->bareUnit($text, $i);
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
            $isBeside = $this->lexicon->isIn('flame', $text->at($at)->word ?? '')
                || 1 === preg_match('/flame|fire|^sim|gently/', $text->words($i, $at));
            $isAlone = (0 === $i || $text->is($i - 1, ',', 'on', '.', ':', ';'))
                && (null === $text->at($at) || $text->is($at, ',', '.', ':', ';', 'until', 'till'));
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
        // "lemon sized", "the size of an orange", "like butter", "the second milk"
        if (
            null !== $thing
            && ($text->is($thing[1], 'sized', 'size', 'shaped', 'coloured', 'colored', 'grain')
                || ($text->is($i - 1, 'a', 'an') && $text->is(
                    $i - 2,
                    'of',
                    'like',
                    'than',
                    'as',
                ) && $text->is($i - 3, 'size', 'looks', 'feels', 'softer', 'harder', 'thick',
                    'big', 'small', 'thicker'))
                || $text->is($i - 1, 'like')
                || ($text->is($i, 'milk') && $text->is($i - 1, 'first', 'second', 'third', 'thick', 'thin')))
        ) {
            return null;
        }
        // "oil your knife", "butter the tray"
        if (
            null !== $thing
            && $text->is($i, 'oil', 'butter')
            && $thing[1] === $i + 1
            && $text->is($i + 1, 'the', 'your', 'a', 'it', 'them', 'two')
        ) {
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
        if (VerbForm::Plain === $form && 1 === $next - $i && $this->lexicon->isIn('nouns', $text->at($i)->word ?? '')) {
            $isBegun = $i === $sentence || 0 === $i || $this->mayOrder($text, $i);
            $isOrder = $text->is($next, 'the', 'it', 'them', 'these', 'this', 'each', 'all');
            $isHow = $text->is($i, 'dry', 'oil', 'butter', 'brown', 'cool', 'warm', 'crisp', 'clean', 'level', 'smooth', 'close', 'set')
                && (!($text->at($next)?->isWord() ?? false) || ($text->is($i - 1, 'and', 'or') && !$text->is($next, 'for', 'down', 'in')));
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

    /** Whether an order may stand here. */
    private function mayOrder(Text $text, int $i): bool
    {
        $before = $text->at($i - 1);

        return null === $before
            || !$before->isWord()
            || $this->lexicon->isIn('orders', $before->word)
            || str_ends_with($before->word, 'ly')
            || $text->is($i - 2, 'let')
            || $text->is($i - 3, 'let');
    }
}
