<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** What a piece of a sentence is for: work, a sign, a warning, what others do. */
final readonly class Purpose
{
    /** Participles behind a thing that are work of their own: "lentils, soaked for three hours". */
    private const WORK_WHEN_DONE = [Action::Soak, Action::Reduce, Action::Rinse, Action::Drain, Action::Sieve, Action::Fry,
        Action::Parch, Action::Melt,
        Action::Boil, Action::Steam, Action::Strain, Action::Infuse, Action::DeepFry, Action::Mash];

    /** These only where more is said of them: "ground to a paste with milk", "roasted for three minutes". */
    private const WORK_WHEN_TOLD = [Action::Grind, Action::Prepare, Action::Roast, Action::Cut, Action::Press, Action::Dry, Action::Knead,
        Action::Simmer, Action::Stir, Action::Shape];

    /** Of the cook, not of the sweet. */
    private const ONES_OWN = '/\b(?:your|the|my) (?:arms?|hands?|fingers?|palms|face|eyes|knife|sleeves?|hair|nails)\b/i';

    /** "between your palms", "once your hands can bear it" */
    private const BY_HAND = '/\b(?:with|between|on|in|once|when|till|until|as|than) (?:your|the)/i';

    /** "they start to jump", "the skin shines": what one sees. */
    private const SEEN = '/^\W*(?:then |now |soon |in the morning |by (?:the )?morning |by then |after that )?(?:(?:it\'ll|they\'ll'
        .'|it|they|you can (?:see|hold|press|roll|draw|smell|hear)|there will be|bubbles)'
        .' (?!is for\b|is what\b|the\b)\p{L}+|the \p{L}+ (?:is|are|has|have|will|comes?|turns?|goes|begins?|starts?|stands?|becomes?|gets?'
        .'|smells?|looks?|shows?|rises?|swells?|falls?|moves?|leaves?|lets?|\p{L}+s)\b)/iu';

    public function __construct(private Lexicon $lexicon)
    {
    }

    public function isModal(Text $text, int $i): bool
    {
        return $this->lexicon->isIn('modal', $text->at($i)->word ?? '');
    }

    /** "let that boil", "let the milk cool" */
    private function isLet(Text $text, int $i): bool
    {
        return $text->is($i - 2, 'let') || $text->is($i - 3, 'let');
    }

    public function isOrder(Text $text, Span $verb): bool
    {
        if (VerbForm::Does === $verb->form) {
            return $this->lexicon->isIn('people', $text->at($verb->first - 1)->word ?? '');
        }

        return VerbForm::Plain === $verb->form
            && !$text->is($verb->first - 1, 'to')
            && !$this->isNoOrder($text, $verb->first)
            && (!$this->isModal($text, $verb->first - 1) || $this->isInIt($text, $verb->first));
    }

    /** "so it doesn't break", "let me cook", "before you cut": nobody is told to. */
    private function isNoOrder(Text $text, int $i): bool
    {
        return $this->lexicon->isIn('negations', $text->at($i - 1)->word ?? '')
            || $text->is($i - 1, 'me', 'us', 'him', 'her', 'as', 'than', 'like')
            || ($text->is($i - 1, 'you', 'we', 'i', 'they', 'one', 'people')
                && $text->is($i - 2, 'before', 'while', 'than', 'as', 'what', 'where', 'how'));
    }

    /** "in it fry the nuts" */
    private function isInIt(Text $text, int $i): bool
    {
        return $text->is($i - 1, 'it', 'this', 'that') && $text->is($i - 2, 'in', 'into');
    }

    /** "The milk has to be boiled down first, forty minutes": what is told with its time is done, whoever does it. */
    private function hasToBe(Text $text, Span $verb): bool
    {
        $isAsked = $text->is($verb->first - 1, 'be') && ($text->is($verb->first - 2, 'must', 'should')
            || ($text->is($verb->first - 2, 'to') && $text->is($verb->first - 3, 'has', 'have', 'needs', 'need')));

        return $isAsked
            && $verb->isDone(Action::Reduce, Action::Soak, Action::Boil, Action::Simmer, Action::Strain, Action::Grind, Action::Roast,
                Action::Steam, Action::Knead, Action::Sieve, Action::Rinse, Action::Drain, Action::Dry)
            && 1 === preg_match('/\b(?:minutes?|mins?|hours?|overnight|days?)\b/i', $text->words($verb->next, $verb->next + 10));
    }

    /** "and you should mash it": asked of the cook; "you should see", "you can hold" is not. */
    private function isAsked(Text $text, int $i): bool
    {
        // "it must cook for forty minutes", "they have to stand for an hour"
        $isTimed = ($text->is($i - 1, 'must', 'should') || ($text->is($i - 1, 'to') && $text->is($i - 2, 'has', 'have', 'needs', 'need')))
            && $text->is($i, 'cook', 'simmer', 'boil', 'rest', 'stand', 'soak', 'steam', 'chill', 'cool', 'dry', 'rise', 'ferment',
                'set', 'steep')
            && 1 === preg_match('/^[^.;:]{0,30}\b(?:minutes?|mins?|hours?|overnight|while)\b/i', $text->words($i + 1, $i + 8));

        return $isTimed || ($text->is($i - 1, 'should', 'must')
            && $text->is($i - 2, 'you', 'we', 'i', 'one')
            && !$text->is($i - 3, 'that', 'until', 'till', 'when', 'if'));
    }

    /** @param list<Span> $spans */
    public function kind(Text $text, int $first, int $next, array $spans, ?Span $opener): FragmentKind
    {
        $said = SeenOrSaid::of($text->words($first, $next), $text->words($next, $next + 9));
        if (null !== $said) {
            return $said;
        }
        $negated = null;
        foreach ($spans as $span) {
            if ($span->is(SpanKind::Negation)) {
                $negated = $span;
                break;
            }
        }
        foreach (null === $negated && (null === $opener || $opener->is(SpanKind::Wish)) ? $spans : [] as $span) {
            if ($span->is(SpanKind::Verb) && $this->isAsked($text, $span->first)) {
                return FragmentKind::Work;
            }
        }
        foreach (null === $negated ? $spans : [] as $span) {
            if ($span->is(SpanKind::Verb) && VerbForm::Done === $span->form && $this->hasToBe($text, $span)) {
                return FragmentKind::Work;
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
        if (
            1 === preg_match('/^\W*(?:and )?after .*\b(?:it|they) \p{L}+/iu', $text->words($first, $next))
            && [] === $this->verbs($text, $spans, $first)
        ) {
            return FragmentKind::OnTheWay;
        }
        if (1 === preg_match('/\binstead\b|\bin place of\b/i', $text->words($first, $next))) {
            return FragmentKind::Alternative;
        }
        if (HealthClaims::isIn($text->words($first, $next)) && [] === $this->verbs($text, $spans, $first)) {
            return FragmentKind::Aside;
        }
        $words = $text->words($first, $next);
        if (WhatFails::stands($words) && WhatFails::isMended($text, $next)) {
            return FragmentKind::Wrong;
        }
        if (1 === preg_match('/^\W*(?:in|on|with|at|under) .*/i', $words) && WhatFails::fails($words)) {
            return FragmentKind::Wrong;
        }
        // "too much milk and they spoil"
        if (1 === preg_match('/^\W*too (?:much|little|many|few|hot|cold|thin|thick|long|early|late|wet|dry)\b.*(?:\band\b|=)/i', $words)) {
            return FragmentKind::Wrong;
        }
        // "that was the old one"; "that was 420 grams without the skins" is a measure
        if (1 === preg_match('/^\W*(?:that|this) was\b/i', $words)
            && [] === array_filter($spans, static fn (Span $s): bool => $s->is(SpanKind::Measure))) {
            return FragmentKind::Aside;
        }
        // "that makes it liquid again"
        if (1 === preg_match('/^\W*(?:that|this|it|which) (?:makes|gets|goes|turns|becomes|will get|will turn) .*\bagain\b/i', $words)) {
            return FragmentKind::OnTheWay;
        }
        // "a drop must snap", "the mass should follow the spoon": by what one sees it.
        if (
            1 === preg_match('/\b(?:must|should|has to|have to)\b/i', $words)
            && 1 !== preg_match('/\b(?:you|i|we|one) (?:must|should|have to|has to)\b/i', $words)
        ) {
            return null === $negated ? FragmentKind::Done : FragmentKind::Caution;
        }
        if ($text->is($first, 'or') && !$this->hasOrder($text, $spans)) {
            $tells = array_filter($spans, static fn (Span $s): bool => $s->is(SpanKind::Verb) && VerbForm::Does === $s->form);

            return [] === $tells ? FragmentKind::Alternative : FragmentKind::Aside;
        }
        if ($text->is($first, 'which') && [] !== array_filter($spans, static fn (Span $s): bool => $s->is(SpanKind::Time))) {
            return FragmentKind::Bare;
        }
        if (1 === preg_match('/^(?:because|since|that is for|as it|so that|which|whatever|who)\b/i', $text->words($first, $next))
            && [] === array_filter($spans, static fn (Span $s): bool => $s->is(SpanKind::Measure))) {
            return FragmentKind::Aside;
        }

        $verbs = $this->verbs($text, $spans, $first);
        $isWish = [] !== $verbs && [] === array_filter($verbs, static fn (Span $v): bool => !$v->isDone(Action::Weigh));
        if (
            $isWish
            && [] === array_filter($spans, static fn (Span $s): bool => $s->is(SpanKind::Measure, SpanKind::Number, SpanKind::Vague))
        ) {
            return $text->is($first, 'you', 'we', 'i', 'for') ? FragmentKind::Aside : FragmentKind::Bare;
        }
        if ([] !== $verbs) {
            // "wrap your arm in a towel": the cook, not the sweet.
            $isOwn = 1 === preg_match(self::ONES_OWN, $words) && 1 !== preg_match(self::BY_HAND, $words);
            $isOfSweet = static fn (Span $s): bool => $s->is(SpanKind::Thing, SpanKind::Time, SpanKind::Measure);
            if ($isOwn && [] === array_filter($spans, $isOfSweet)) {
                return FragmentKind::Caution;
            }

            return FragmentKind::Work;
        }
        // "they start to jump and turn darker": what one sees.
        $isSeen = 1 === preg_match(self::SEEN, $words) && [] === array_filter($spans, static fn (Span $s): bool => $s->is(
            SpanKind::Measure,
            SpanKind::Time,
            SpanKind::Number,
            SpanKind::Fire,
            SpanKind::Constant,
            SpanKind::FlameOff,
            SpanKind::Stage,
        ));
        if ($isSeen && 1 === preg_match('/^\W*(?:it|they) (?:catches|catch|burns?|sticks?|spits?|splits?|curdles?|roars?)\b/i', $words)) {
            return FragmentKind::Caution;
        }
        if ($isSeen && 1 === preg_match('/^\W*(?:it|they|that) (?:was|were)\b/i', $words)) {
            return FragmentKind::Aside;
        }
        if (
            !$isSeen
            || 1 === preg_match(
                '/\b(?:in|into|over|on top|goes|keep|keeps|last|lasts)\W*$|^\W*(?:it|they) (?:keep|last)|\b(?:they say|it is called)\b/i',
                $words,
            )
        ) {
            return FragmentKind::Bare;
        }

        return 1 === preg_match(
            '/\b(?:again|first|looks?|still|begins?|will look|it\'ll|they\'ll)\b/i',
            $words,
        ) ? FragmentKind::OnTheWay : FragmentKind::Done;
    }

    /** @param list<Span> $spans */
    private function hasOrder(Text $text, array $spans): bool
    {
        foreach ($spans as $span) {
            if ($span->is(SpanKind::Verb) && $this->isOrder($text, $span)) {
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
                if ($this->isNoOrder($text, $verb->first)) {
                    return false;
                }
                if ($this->isInIt($text, $verb->first) || $this->isAsked($text, $verb->first)) {
                    return true;
                }
                // "they set in forty minutes" tells how long it takes.
                if ($hasTime && 'they' === $before && !$verb->isDone(Action::Weigh, Action::Add)) {
                    return true;
                }
                // "it begins to boil" is seen, not done.
                $isSeen = 'to' === $before
                    && $text->is($verb->first - 2, 'begins', 'begin', 'starts', 'start', 'seems', 'going', 'ready', 'needs', 'wants');

                return !$isSeen && (!$this->lexicon->isIn('modal', $before) || $this->isLet($text, $verb->first));
            case VerbForm::Does:
                return ($hasTime && !$verb->isDone(Action::Weigh, Action::Add))
                    || ($verb->isDone(Action::Add) && !$text->is($verb->first, 'takes', 'gets', 'uses'))
                    || $this->lexicon->isIn('people', $before);
            case VerbForm::Done:
                if ($this->lexicon->isIn('people', $before)) {
                    return true;
                }
                if (\in_array($before, ['the', 'these', 'those', 'a', 'some', 'your', 'this', 'that'], true)) {
                    return false;
                }
                $next = $text->at($verb->next)->word ?? '';
                // "cashews broken in half"
                if ($verb->isDone(Action::Prepare, Action::Cut, Action::Part) && 'in' === $next
                    && $text->is($verb->next + 1, 'half', 'halves', 'two', 'pieces', 'quarters', 'strips', 'cubes', 'four')) {
                    return false;
                }
                // "roasted semolina", "dried petals": how it is, not what is done.
                $isBefore = !\in_array($next, ['in', 'with', 'to', 'for', 'on', 'into'], true)
                    && [] !== array_filter($spans, static fn (Span $s): bool => $s->is(SpanKind::Thing) && $s->first >= $verb->next
                    && $s->first <= $verb->next + 1);
                if ($isBefore || $this->lexicon->isIn('states', $next)) {
                    return false;
                }
                // "ground dry in short bursts to a powder"
                $isTold = $hasTime || 'then' === $before
                    || 1 === preg_match('/^(?:[\p{L}]+ ){0,6}to an? /iu', $text->words($verb->next, $verb->next + 9).' ')
                        || \in_array($next, ['to', 'with', 'in', 'until', 'till', 'for', 'separately', 'by', 'brown', 'together'], true);

                if ($this->hasToBe($text, $verb)) {
                    return true;
                }

                return ($verb->isDone(...self::WORK_WHEN_DONE) && !\in_array($before, ['be', 'is', 'are', 'was', 'were', 'not'], true))
                    || ($isTold && $verb->isDone(...self::WORK_WHEN_DONE, ...self::WORK_WHEN_TOLD));
            default:
                return false;
        }
    }
}
