<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/**
 * Cuts a sentence into pieces that say one thing each, at commas, at words like "then" and "until", and before each verb that begins
 * something new; and tells what each is for. What stands in a sign, a warning or a memory is no step, whatever its verbs.
 */
final readonly class Fragments
{
    private const SIGNS = [',', ':', ';', '–', '—', '(', ')', '"', '“', '”', '/'];

    private const NEW = ['then', 'now', 'next', 'afterwards', 'finally', 'lastly', 'meanwhile', 'otherwise', 'but'];

    /** Before these a verb is no order: "can be rolled", "it will boil". */
    private const MODAL = ['can', 'could', 'may', 'will', 'would', 'might', 'should', 'must', 'cannot', 'it', 'they', 'is', 'are', 'was', 'be',
        'been', 'gets', 'get', 'which', 'that'];

    private const PEOPLE = ['she', 'he', 'i', 'we', 'one', 'aunt', 'mother', 'grandmother', 'cook'];

    /** Participles behind a thing that are work of their own: "lentils, soaked for three hours". */
    private const WORK_WHEN_DONE = [Action::Soak, Action::Rinse, Action::Drain, Action::Sieve, Action::Fry, Action::Parch, Action::Melt,
        Action::Boil, Action::Steam, Action::Strain, Action::Infuse, Action::DeepFry, Action::Mash];

    /** These only where more is said of them: "ground to a paste with milk", "roasted for three minutes". */
    private const WORK_WHEN_TOLD = [Action::Grind, Action::Prepare, Action::Roast, Action::Cut, Action::Press, Action::Dry, Action::Knead];

    public function __construct(private Spans $spans, private Lexicon $lexicon)
    {
    }

    /** @return list<Fragment> */
    public function of(Text $text, int $sentence): array
    {
        [$from, $to] = $text->sentences[$sentence];
        $spans = $this->spans->in($text, $from, $to);
        $pieces = $this->pieces($text, $from, $to, $spans);
        if ($text->is($to, '?')) {
            return array_map(static fn (array $p): Fragment => new Fragment(FragmentKind::Aside, $p[0], $p[1], [], $sentence), $pieces);
        }
        $fragments = [];
        $rest = null;
        $goesOn = $before = null;
        foreach ($pieces as [$first, $next, $opener]) {
            $own = array_values(array_filter($spans, static fn (Span $s): bool => $s->first >= $first && $s->next <= $next));
            $kind = $rest ?? $this->kind($text, $first, $next, $own, $opener);
            // "if it runs, another spoon of flour": what is to be done belongs to the sign.
            $rest = FragmentKind::Wrong === $kind && SpanKind::Wrong === $opener?->kind ? $kind : $rest;
            // "First it froths, big bubbles, then small ones": a sign goes on until something is done or measured.
            $isPlain = FragmentKind::Bare === $kind
                && null === $opener
                && !$text->is($first, 'that', 'this', 'about', 'or', 'no', 'say')
                && [] === array_filter($own, static fn (Span $s): bool => $s->is(SpanKind::Measure, SpanKind::Time, SpanKind::Thing, SpanKind::Fire,
                    SpanKind::FlameOff, SpanKind::Number, SpanKind::Vague, SpanKind::Constant));
            $words = $text->words($first, $next);
            if (FragmentKind::Done === $kind && null === $opener && null !== $before && FragmentKind::Caution === $before->kind) {
                $kind = FragmentKind::Aside;
            } elseif (null !== $goesOn && 1 === preg_match('/\b(?:at the end|finally|at last|in the end)\b/i', $words)) {
                $kind = FragmentKind::Done;
            } elseif (null !== $goesOn && ($isPlain || (null === $opener && FragmentKind::Done === $kind))) {
                $kind = $goesOn;
            }
            $goesOn = $kind->isSign() || FragmentKind::Aside === $kind ? $kind : null;
            $fragments[] = $before = new Fragment(
                $kind,
                $first,
                $next,
                $own,
                $sentence,
                $first === $from && $text->is($first, 'when'),
                $text->is($next, ':') && $next - $first <= 4,
            );
        }

        return self::inTurn($text, $fragments);
    }

    /**
     * "It foams, then it becomes heavy, then it leaves the pan": on its way but for the last.
     *
     * @param list<Fragment> $fragments
     *
     * @return list<Fragment>
     */
    private static function inTurn(Text $text, array $fragments): array
    {
        $seen = [];
        foreach ($fragments as $k => $piece) {
            $isSeen = FragmentKind::Done === $piece->kind || FragmentKind::OnTheWay === $piece->kind;
            if ($isSeen && 1 === preg_match('/^\W*(?:first |then |and then |at first )?(?:it|they)\b/i', $text->words($piece->first, $piece->next))) {
                $seen[] = $k;
            }
        }
        if (\count($seen) < 2 || !$text->is($fragments[$seen[\count($seen) - 1]]->first, 'then')) {
            return $fragments;
        }
        foreach ($seen as $n => $k) {
            $piece = $fragments[$k];
            $kind = $n === \count($seen) - 1 ? FragmentKind::Done : FragmentKind::OnTheWay;
            $fragments[$k] = new Fragment($kind, $piece->first, $piece->next, $piece->spans, $piece->sentence, $piece->isLead, $piece->isLabel);
        }

        return array_values($fragments);
    }

    /**
     * @param list<Span> $spans
     *
     * @return list<array{int, int, Span|null}> first token, the one behind, and what opens it
     */
    private function pieces(Text $text, int $from, int $to, array $spans): array
    {
        $at = [];
        foreach ($spans as $span) {
            $at[$span->first] = $span;
        }
        $pieces = [];
        $first = $from;
        $opener = null;
        $hasVerb = false;
        $close = static function (int $next) use (&$pieces, &$first, &$opener, &$hasVerb): void {
            if ($next > $first) {
                $pieces[] = [$first, $next, $opener];
            }
            [$first, $opener, $hasVerb] = [$next, null, false];
        };
        for ($i = $from; $i < $to;) {
            $span = $at[$i] ?? null;
            if (null === $span) {
                if ($text->is($i, ...self::SIGNS)) {
                    $close($i);
                    $first = $i + 1;
                } elseif ($i > $first && $text->is($i, ...self::NEW)) {
                    $close($i);
                }
                ++$i;
                continue;
            }
            if ($span->is(SpanKind::Until, SpanKind::Ready, SpanKind::Wish, SpanKind::Wrong, SpanKind::OnTheWay, SpanKind::Others, SpanKind::Apart)) {
                // Inside a sign these are part of it; a sign ends where another begins.
                $isInside = null !== $opener && $opener->is(SpanKind::Wrong, SpanKind::Others) && !$span->is(SpanKind::Ready);
                // "two handfuls each is what my mother said"
                $isBehind = $span->is(SpanKind::Others) && null === $opener && !$hasVerb && $i > $first
                    && $text->is($i - 1, 'what', 'how', 'as', 'is', 'so');
                if ($isBehind) {
                    $opener = $span;
                } elseif (!$isInside) {
                    $close($i);
                    $opener = $span;
                }
            } elseif ($span->is(SpanKind::Negation) && null === $opener && $this->isWarning($text, $i, $first)) {
                $close($i);
                $opener = $span;
            } elseif ($span->is(SpanKind::Verb) && $this->isOrder($text, $span, $first)) {
                $isNew = null === $opener
                    ? $hasVerb
                    : $opener->is(SpanKind::Until, SpanKind::Apart, SpanKind::OnTheWay, SpanKind::Wish)
                        && ($text->is($i - 1, 'and', 'then', 'now') || ('when' === $text->at($opener->first)?->word && $i > $opener->next + 1
                            && !$text->is($i - 1, ...self::MODAL) && !$text->is($i - 1, 'you', 'to')));
                if (SpanKind::Apart === $opener?->kind) {
                    $isNew = $hasVerb;
                }
                if ($isNew) {
                    $close($text->is($i - 1, 'and', 'then', 'you', 'we', 'i') && $i - 1 > $first ? $i - 1 : $i);
                }
                $hasVerb = true;
            }
            $i = $span->next;
        }
        $close($to);

        return $pieces;
    }

    /** "don't boil it" at the beginning of a piece, "it isn't turned" before its verb. */
    private function isWarning(Text $text, int $i, int $first): bool
    {
        if ($text->is($i, 'without', 'no', 'nothing', 'nobody') && $i > $first) {
            return false;
        }

        return $i - $first <= 3;
    }

    private function isOrder(Text $text, Span $verb, int $first): bool
    {
        return VerbForm::Plain === $verb->form && !$text->is($verb->first - 1, 'to', ...self::MODAL);
    }

    /** @param list<Span> $spans */
    private function kind(Text $text, int $first, int $next, array $spans, ?Span $opener): FragmentKind
    {
        $negated = null;
        foreach ($spans as $span) {
            if ($span->is(SpanKind::Negation)) {
                $negated = $span;
                break;
            }
        }
        $byOpener = match ($opener?->kind) {
            SpanKind::Others => FragmentKind::Aside,
            SpanKind::Wrong => FragmentKind::Wrong,
            SpanKind::OnTheWay => FragmentKind::OnTheWay,
            SpanKind::Until, SpanKind::Ready => FragmentKind::Done,
            SpanKind::Wish => null === $negated || $negated->first > $opener->next + 2 ? FragmentKind::Done : FragmentKind::Caution,
            SpanKind::Negation => FragmentKind::Caution,
            default => null,
        };
        if (null !== $byOpener) {
            return $byOpener;
        }
        if (HealthClaims::isIn($text->words($first, $next)) && [] === $this->verbs($text, $spans, $first)) {
            return FragmentKind::Aside;
        }
        // "a drop must snap", "the mass should follow the spoon": by what one sees it.
        $words = $text->words($first, $next);
        if (1 === preg_match('/\b(?:must|should|has to|have to)\b/i', $words) && 1 !== preg_match('/\b(?:you|i|we|one) (?:must|should|have to|has to)\b/i', $words)) {
            return null === $negated ? FragmentKind::Done : FragmentKind::Caution;
        }
        if ($text->is($first, 'or') && !$this->hasOrder($text, $spans, $first)) {
            $tells = array_filter($spans, static fn (Span $s): bool => $s->is(SpanKind::Verb) && VerbForm::Does === $s->form);

            return [] === $tells ? FragmentKind::Alternative : FragmentKind::Aside;
        }
        if (1 === preg_match('/^(?:because|since|that is for|as it|so that|which|whatever|who)\b/i', $text->words($first, $next))
            && [] === array_filter($spans, static fn (Span $s): bool => $s->is(SpanKind::Measure))) {
            return FragmentKind::Aside;
        }

        if ([] !== $this->verbs($text, $spans, $first)) {
            // "wrap your arm in a towel": the cook, not the sweet.
            if (1 === preg_match('/\b(?:your|the|my) (?:arms?|hands?|fingers?|palms|face|eyes|knife|sleeves?|hair|nails)\b/i', $words) && [] === array_filter($spans,
                static fn (Span $s): bool => $s->is(SpanKind::Thing, SpanKind::Time, SpanKind::Measure)) && 1 !== preg_match('/\b(?:with|between|on|in) (?:your|the)/i', $words)) {
                return FragmentKind::Caution;
            }

            return FragmentKind::Work;
        }
        // "they start to jump and turn darker": what one sees.
        $isSeen = 1 === preg_match('/^\W*(?:it|they|the (?!nuts first)\p{L}+|you can (?:see|hold|press|roll|draw|smell|hear)|there will be|bubbles) (?!is for\b|is what\b|the\b)\p{L}+/iu', $words)
            && [] === array_filter($spans, static fn (Span $s): bool => $s->is(SpanKind::Measure, SpanKind::Time, SpanKind::Number, SpanKind::Fire, SpanKind::Constant,
                SpanKind::FlameOff, SpanKind::Stage));
        if (!$isSeen || 1 === preg_match('/\b(?:in|into|over|on top|goes|keep|keeps|last|lasts)\W*$|^\W*(?:it|they) (?:keep|last)|\b(?:they say|it is called)\b/i', $words)) {
            return FragmentKind::Bare;
        }

        return 1 === preg_match('/\b(?:again|first|looks?|still|begins?|will look)\b/i', $words) ? FragmentKind::OnTheWay : FragmentKind::Done;
    }

    /** @param list<Span> $spans */
    private function hasOrder(Text $text, array $spans, int $first): bool
    {
        foreach ($spans as $span) {
            if ($span->is(SpanKind::Verb) && $this->isOrder($text, $span, $first)) {
                return true;
            }
        }

        return false;
    }

    /**
     * The verbs of a piece that say what somebody does.
     *
     * @param list<Span> $spans
     *
     * @return list<Span>
     */
    public function verbs(Text $text, array $spans, int $first): array
    {
        $hasTime = [] !== array_filter($spans, static fn (Span $s): bool => $s->is(SpanKind::Time));
        $verbs = [];
        foreach ($spans as $span) {
            if ($span->is(SpanKind::Verb) && $this->isWork($text, $span, $spans, $first, $hasTime)) {
                $verbs[] = $span;
            }
        }

        return $verbs;
    }

    /** @param list<Span> $spans */
    private function isWork(Text $text, Span $verb, array $spans, int $first, bool $hasTime): bool
    {
        $before = $text->at($verb->first - 1)->word ?? '';
        switch ($verb->form) {
            case VerbForm::Plain:
                // "it begins to boil" is seen, not done.
                $isSeen = 'to' === $before && $text->is($verb->first - 2, 'begins', 'begin', 'starts', 'start', 'seems', 'going', 'ready', 'needs', 'wants');

                return !$isSeen && !\in_array($before, self::MODAL, true);
            case VerbForm::Does:
                return ($hasTime && !$verb->isDone(Action::Weigh, Action::Add)) || ($verb->isDone(Action::Add) && !$text->is($verb->first, 'takes', 'gets', 'uses')) || $text->is($verb->first - 1, ...self::PEOPLE);
            case VerbForm::Done:
                if (\in_array($before, self::PEOPLE, true)) {
                    return true;
                }
                $next = $text->at($verb->next)->word ?? '';
                // "roasted semolina", "dried petals": how it is, not what is done.
                $isBefore = [] !== array_filter($spans, static fn (Span $s): bool => $s->is(SpanKind::Thing) && $s->first >= $verb->next
                    && $s->first <= $verb->next + 1);
                if ($isBefore || $this->lexicon->isIn('states', $next)) {
                    return false;
                }
                $isTold = $hasTime || \in_array($next, ['to', 'with', 'in', 'until', 'till', 'for', 'separately', 'by', 'brown'], true);

                return ($verb->isDone(...self::WORK_WHEN_DONE) && !\in_array($before, ['be', 'is', 'are', 'was', 'were', 'not'], true))
                    || ($isTold && $verb->isDone(...self::WORK_WHEN_DONE, ...self::WORK_WHEN_TOLD));
            default:
                return false;
        }
    }
}
