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

    private const LOOK = '/^(?=.*(?:golden|brown|crisp|pink|spongy|puffed|glassy))\W*(?:(?:pale|light|lightly|deep|dark|golden|gold'
        .'|brown|browned|crisp|pink|reddish|spongy|puffed|transparent|glassy'
        .'|and|or|not|never|no more than|all over|all round|on both sides|evenly)\b\W*)+$/i';

    private const NEW = ['then', 'now', 'next', 'afterwards', 'finally', 'lastly', 'meanwhile', 'otherwise', 'but'];

    public function __construct(private Spans $spans, private Purpose $purpose)
    {
    }

    /** @return list<Fragment> */
    public function of(Text $text, int $sentence): array
    {
        [$from, $to] = $text->sentences[$sentence];
        $spans = $this->spans->in($text, $from, $to);
        $pieces = $this->pieces($text, $from, $to, $spans);
        if ($text->is($to, '?')) {
            $kind = WhatFails::isAsked($text, $sentence) ? FragmentKind::Wrong : FragmentKind::Aside;

            return array_map(static fn (array $p): Fragment => new Fragment($kind, $p[0], $p[1], [], $sentence), $pieces);
        }
        $fragments = [];
        $rest = WhatFails::isMending($text, $sentence) ? FragmentKind::Wrong : null;
        $goesOn = null;
        foreach ($pieces as [$first, $next, $opener]) {
            $before = $fragments[\count($fragments) - 1] ?? null;
            $own = array_values(array_filter($spans, static fn (Span $s): bool => $s->first >= $first && $s->next <= $next));
            $kind = $rest ?? $this->purpose->kind($text, $first, $next, $own, $opener);
            // "if it runs, another spoon of flour": what is to be done belongs to the sign.
            $isSaid = SpanKind::Wrong === $opener?->kind || WhatFails::isMended($text, $next);
            $rest = FragmentKind::Wrong === $kind && $isSaid ? $kind : $rest;
            // "First it froths, big bubbles, then small ones": a sign goes on until something is done or measured.
            $isPlain = FragmentKind::Bare === $kind
                && null === $opener
                && !$text->is($first, 'that', 'this', 'about', 'or', 'no', 'say')
                && [] === array_filter($own, static fn (Span $s): bool => $s->is(
                    SpanKind::Measure,
                    SpanKind::Time,
                    SpanKind::Thing,
                    SpanKind::Fire,
                    SpanKind::FlameOff,
                    SpanKind::Number,
                    SpanKind::Vague,
                    SpanKind::Constant,
                ));
            $words = $text->words($first, $next);
            // "a lump of alum they use in other places": it is theirs.
            if (SpanKind::Others === $opener?->kind && FragmentKind::Bare === $before?->kind && $before->next === $first) {
                array_pop($fragments);
                $fragments[] = $before->as(FragmentKind::Aside);
            }
            // "golden, not brown": how it looks when it is done.
            $isLook = 1 === preg_match(self::LOOK, $words);
            if ($isLook && (FragmentKind::Bare === $kind || (FragmentKind::Caution === $kind && FragmentKind::Done === $before?->kind))) {
                $kind = FragmentKind::Done;
            } elseif (FragmentKind::Done === $kind && null === $opener && null !== $before && FragmentKind::Caution === $before->kind) {
                $kind = FragmentKind::Aside;
            } elseif (null !== $goesOn && 1 === preg_match('/\b(?:at the end|finally|at last|in the end)\b/i', $words)) {
                $kind = FragmentKind::Done;
            } elseif (null !== $goesOn && ($isPlain || (null === $opener && FragmentKind::Done === $kind))) {
                $kind = $goesOn;
            }
            // "my uncle adds condensed milk, a tin of it": it is still the uncle's.
            $isOnesOwn = 1 === preg_match('/\b(?:i|we|you|so|now|then)\b/i', $words);
            $isBare = FragmentKind::Bare === $kind && null === $opener && !$isOnesOwn;
            if (FragmentKind::Aside === $goesOn && $isBare && ($before?->has(SpanKind::Others) ?? false)) {
                $kind = FragmentKind::Aside;
                $own = [];
            }
            $goesOn = $kind->isSign() || FragmentKind::Aside === $kind ? $kind : null;
            $fragments[] = new Fragment(
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
            $isNext = [] !== $seen && !$piece->kind->isSign() && FragmentKind::Work !== $piece->kind && $text->is($piece->first, 'then')
                && !$piece->has(SpanKind::Measure, SpanKind::Thing, SpanKind::Time);
            if (
                $isNext
                || (
                    $isSeen
                    && 1 === preg_match(
                        '/^\W*(?:first |then |and then |at first )?(?:it|they)\b|\bat first\b/i',
                        $text->words($piece->first, $piece->next),
                    )
                )
            ) {
                $seen[] = $k;
            }
        }
        foreach (\array_slice($fragments, ($seen[\count($seen) - 1] ?? -1) + 1) as $later) {
            if (FragmentKind::Done === $later->kind) {
                return $fragments;
            }
        }
        if (\count($seen) < 2 || !$text->is($fragments[$seen[\count($seen) - 1]]->first, 'then')) {
            return $fragments;
        }
        foreach ($seen as $n => $k) {
            $piece = $fragments[$k];
            $kind = $n === \count($seen) - 1 ? FragmentKind::Done : FragmentKind::OnTheWay;
            $fragments[$k] = new Fragment(
                $kind, $piece->first, $piece->next, $piece->spans, $piece->sentence, $piece->isLead, $piece->isLabel,
            );
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
                } elseif ($i > $first && $text->is($i, ...self::NEW) && !$text->is($i + 1, 'day', 'morning', 'evening', 'week')) {
                    $close($i);
                }
                ++$i;
                continue;
            }
            if (
                $span->is(
                    SpanKind::Until, SpanKind::Ready, SpanKind::Wish, SpanKind::Wrong, SpanKind::OnTheWay, SpanKind::Others,
                    SpanKind::Apart,
                )
            ) {
                // Inside a sign these are part of it; a sign ends where another begins.
                $isInside = null !== $opener && (($opener->is(SpanKind::Wrong, SpanKind::Others) && !$span->is(SpanKind::Ready))
                    || ($opener->is(SpanKind::Until) && $span->is(SpanKind::OnTheWay) && $span->first <= $opener->next));
                // "two handfuls each is what my mother said"
                $isBehind = $span->is(SpanKind::Others) && null === $opener && !$hasVerb && $i > $first
                    && $text->is($i - 1, 'what', 'how', 'as', 'is', 'so');
                // "when the spoon leaves a road it is nearly there"
                $isBehind = $isBehind || ($span->is(SpanKind::OnTheWay) && null === $opener && !$hasVerb && $i > $first
                    && $text->is($i, 'nearly'));
                if ($isBehind) {
                    $opener = $span;
                } elseif (!$isInside) {
                    $close($i);
                    $opener = $span;
                }
            } elseif ($span->is(SpanKind::Negation) && null === $opener && $this->isWarning($text, $i, $first)) {
                // "baking soda I leave out"
                if (!$text->is($i, 'i', 'leave', 'left')) {
                    $close($i);
                }
                $opener = $span;
            } elseif (
                $span->is(SpanKind::Verb) && $span->isDone(Action::Add) && (VerbForm::Does === $span->form || $text->is($i, 'go'))
                && SpanKind::Until === $opener?->kind && 'when' === $text->at($opener->first)?->word
                && null !== ($noun = $this->nounBefore($text, $i, $opener->next + 1))
            ) {
                // "when it bubbles the paste goes in"
                $close($noun);
                $hasVerb = true;
            } elseif ($span->is(SpanKind::Verb) && $this->purpose->isOrder($text, $span)) {
                $isNew = null === $opener
                    ? $hasVerb
                    : $opener->is(SpanKind::Until, SpanKind::Apart, SpanKind::OnTheWay, SpanKind::Wish)
                        && ($text->is(
                            $i - 1,
                            'and',
                            'then',
                            'now',
                        ) || ('when' === $text->at($opener->first)?->word && $i > $opener->next + 1
                            && !$this->purpose->isModal($text, $i - 1) && !$text->is($i - 1, 'to')
                            && !($text->is($i - 1, 'you') && $i <= $opener->next + 2)));
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

    /** @return int|null where "the paste" begins before a verb */
    private function nounBefore(Text $text, int $i, int $least): ?int
    {
        for ($at = $i - 1; $at > max($least, $i - 4); --$at) {
            if ($text->is($at, 'the')) {
                return $at;
            }
        }

        return null;
    }

    /** "don't boil it" at the beginning of a piece, "it isn't turned" before its verb. */
    private function isWarning(Text $text, int $i, int $first): bool
    {
        if ($text->is($i, 'without', 'no', 'nothing', 'nobody') && $i > $first) {
            return false;
        }

        return $i - $first <= 3;
    }
}
