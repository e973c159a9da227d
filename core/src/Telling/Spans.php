<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Heat\Flame;
use FeastLadle\Syrup\Stage;
use FeastLadle\Vessel\VesselKind;

/** Finds what the words of a text are: numbers with their units, times, things, verbs, signs, from left to right, the longest first. */
final readonly class Spans
{
    /** Words between "bring" and "to the boil". */
    private const LONGEST_BROUGHT = 12;

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
            ?? $this->number($text, $i)
            ?? $this->stage($text, $i)
            ?? $this->manner($text, $i)
            ?? $this->thing($text, $i)
            ?? $this->verb($text, $i, $sentence, $before)
            ?? $this->vague($text, $i)
            ?? $this->vessel($text, $i)
            ?? $this->numbers->bareUnit($text, $i);
    }

    /** A number with its unit; "with a stick", "by the spoon" is a tool. */
    private function number(Text $text, int $i): ?Span
    {
        $span = $this->numbers->number($text, $i);
        $isTool = null !== $span && $span->is(SpanKind::Measure) && $text->is($i - 1, 'with', 'using', 'between')
            && $text->is($i, 'a', 'an', 'two')
            && \in_array($span->unit, [SpokenUnit::Stick, SpokenUnit::Spoon, SpokenUnit::Ladle, SpokenUnit::Cup, SpokenUnit::Glass], true)
            && !$text->is($span->next, 'of') && null === $this->things->at($text, $span->next);

        return $isTool ? null : $span;
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
                || self::isMade($text, $i, $thing[1])
                || ($text->is($i - 1, 'give', 'gives', 'drink', 'drinks', 'soak', 'throws', 'throw')
                    && $text->is($i, 'oil', 'fat', 'ghee', 'water'))
                || ($text->is($thing[1], 'on') && $text->is($thing[1] + 1, 'your', 'the')
                    && $text->is($thing[1] + 2, 'hands', 'palms', 'fingers'))
                || ($text->is($i, 'milk') && $text->is($i + 1, 'of') && 1 === preg_match('/^of (?:\p{L}+ ){1,2}coconuts?/iu',
                    (string) preg_replace('/\s+/', ' ', $text->words($i + 1, $i + 5))))
                || ($text->is($i, 'milk') && ($text->is($i - 1, 'first', 'second', 'third', 'thick', 'thin')
                    || $text->is($i - 2, 'squeeze', 'press', 'extract', 'out')))
                || ($text->is($i, 'water', 'tap') && ($text->is($i - 1, 'under') || $text->is($i - 2, 'under'))))
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

    /** "Make curds from three litres of milk": what comes of it, not what goes in. */
    private static function isMade(Text $text, int $i, int $next): bool
    {
        return 1 === preg_match('/\b(?:makes?|made|making) (?:\p{L}+ ){0,2}$/iu', $text->words(max(0, $i - 3), $i).' ')
            && $text->is($next, 'from', 'out');
    }

    /** @param list<Span> $before */
    private function verb(Text $text, int $i, int $sentence, array $before): ?Span
    {
        $verb = $this->bringsToTheBoil($text, $i) ?? $this->makesShapes($text, $i) ?? $this->boilsDown($text, $i)
            ?? $this->lexicon->verb($text, $i);
        if (null === $verb) {
            return null;
        }
        [$action, $form, $next] = $verb;
        $previous = $text->at($i - 1)->word ?? '';
        // "cut like cake"
        if (
            \in_array($action, [Action::Cut, Action::Shape, Action::Prepare], true)
            && VerbForm::Does !== $form
            && $text->is($next, 'like')
            && !$text->is($next + 1, 'this', 'that')
        ) {
            return null;
        }
        // "in their skins"
        if (VerbForm::Does === $form && \in_array($previous, ['the', 'their', 'its', 'these', 'your', 'our', 'of', 'in', 'with'], true)) {
            return null;
        }
        // "the hot slices", "the thick part", "dry bread": a thing, or how it is.
        if (
            1 === $next - $i
            && (($this->lexicon->isIn('states', $previous) && $text->is($i - 2, 'the', 'a', 'these', 'those', 'some'))
                || ($text->is($i, 'dry', 'warm', 'cool', 'crisp', 'clean', 'level', 'smooth', 'brown')
                    && (null !== $this->things->at($text, $next) || $text->is($next, 'one', 'ones'))))
        ) {
            return null;
        }
        // "the roast", "a good boil": a noun; "a roasted nut": how it is.
        if (
            VerbForm::Plain === $form
            && 1 === $next - $i
            && \in_array($previous, ['the', 'a', 'an', 'this', 'that', 'no', 'its', 'of', 'our', 'good', 'wet'], true)
        ) {
            return null;
        }
        // "warm or cold", "warm with milk", "brown spots"
        if (1 === $next - $i && $text->is($i, 'warm', 'brown', 'crisp', 'dry', 'cool', 'clean')
            && $text->is($next, 'or', 'with', 'spots', 'patches', 'specks', 'edges', 'enough')) {
            return null;
        }
        $last = [] === $before ? null : $before[\count($before) - 1];
        if (VerbForm::Plain === $form && 1 === $next - $i && $this->lexicon->isIn('nouns', $text->at($i)->word ?? '')) {
            $isInFat = null !== $last && $last->next === $i && ProcessOf::isFat($last->thing->id ?? '')
                && 1 === preg_match('/^\W*in\b/i', $text->words($sentence, $i));
            if ($isInFat) {
                return new Span(SpanKind::Verb, $i, $next, action: $action, form: $form);
            }
            $isBegun = $i === $sentence || 0 === $i || $this->mayOrder($text, $i)
                || ($text->is($i - 1, 'it', 'this', 'that', 'them') && $text->is($i - 2, 'in', 'into'));
            $isOrder = $text->is($next, 'the', 'it', 'them', 'these', 'this', 'each', 'all')
                // "for the filling boil 600 g of chickpeas"
                || (TokenKind::Sign !== $text->at($next)?->kind
                    && 1 === preg_match('/^\W*(?:and |then |now )?for (?:the|a|your) \p{L}+\W*$/iu', $text->words($sentence, $i)));
            $isHow = $text->is($i, 'dry', 'oil', 'butter', 'brown', 'cool', 'warm', 'crisp', 'clean', 'level', 'smooth', 'close', 'set')
                && (!($text->at($next)?->isWord() ?? false) || ($text->is($i - 1, 'and', 'or') && !$text->is($next, 'for', 'down', 'in')));
            $isLet = $text->is($i - 2, 'let') || $text->is($i - 3, 'let');
            if (!$isOrder && (!$isBegun || $isHow || (!$isLet && $last?->next === $i && $last->is(SpanKind::Thing)))) {
                return null;
            }
        }

        return new Span(SpanKind::Verb, $i, $next, action: $action, form: $form);
    }

    /** @return array{Action, VerbForm, int}|null "bring the milk to the boil", with what is brought between */
    private function bringsToTheBoil(Text $text, int $i): ?array
    {
        $form = match (true) {
            $text->is($i, 'bring', 'put', 'set', 'get') => VerbForm::Plain,
            $text->is($i, 'brought') => VerbForm::Done,
            $text->is($i, 'brings', 'comes') => VerbForm::Does,
            default => null,
        };
        for ($at = $i + 1; null !== $form && $at < $i + self::LONGEST_BROUGHT; ++$at) {
            if (!($text->at($at)?->isWord() ?? false)) {
                return null;
            }
            if (
                $text->is($at, 'to', 'on')
                && ($text->is($at + 1, 'boil') || ($text->is($at + 1, 'the', 'a') && ($text->is($at + 2, 'boil', 'simmer')
                    || $text->is($at + 3, 'boil', 'simmer'))))
            ) {
                return [Action::Boil, $form, $i + 1];
            }
        }

        return null;
    }

    /** @return array{Action, VerbForm, int}|null "boil the milk down" */
    private function boilsDown(Text $text, int $i): ?array
    {
        $isCooked = $text->is($i, 'boil', 'cook', 'simmer') ? VerbForm::Plain : ($text->is($i, 'boiled', 'cooked', 'simmered')
            ? VerbForm::Done : null);
        for ($at = $i + 1; null !== $isCooked && $at < $i + 6 && ($text->at($at)?->isWord() ?? false); ++$at) {
            if ($text->is($at, 'down') && !$text->is($at + 1, 'low')) {
                return [Action::Reduce, $isCooked, $i + 1];
            }
        }

        return null;
    }

    /** @return array{Action, VerbForm, int}|null "make small round balls" */
    private function makesShapes(Text $text, int $i): ?array
    {
        if (!$text->is($i, 'make', 'form', 'press', 'squeeze', 'pinch')) {
            return null;
        }
        for ($at = $i + 1; $at < $i + self::LONGEST_BROUGHT / 2 && ($text->at($at)?->isWord() ?? false); ++$at) {
            if ($text->is($at, 'balls', 'rings', 'discs', 'rounds', 'marbles', 'logs', 'circles', 'spirals', 'coils', 'dumplings',
                'cakes')) {
                return [Action::Shape, VerbForm::Plain, $i + 1];
            }
        }

        return null;
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
