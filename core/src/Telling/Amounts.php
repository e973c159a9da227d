<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/**
 * Which amount belongs to which thing: "two cups of rice", "rice, two cups", "twenty cashews", "250 g, that is a cup". A second measure
 * of a thing stays beside the first.
 */
final readonly class Amounts
{
    private const LONGEST_NAME = 3;

    private Weighed $weighed;

    private SecondMeasures $second;

    private AmountClues $clues;

    public function __construct(private Lexicon $lexicon, private Things $things, Weighing $weighing)
    {
        $this->weighed = new Weighed($weighing);
        $this->second = new SecondMeasures($this->weighed);
        $this->clues = new AmountClues($things);
    }

    /**
     * @param list<Span>       $spans  those that count, of one sentence
     * @param list<ToldAmount> $before what was told so far
     *
     * @return list<ToldAmount> in the order of the text, things without an amount among them
     */
    public function of(Text $text, array $spans, array $before = []): array
    {
        /** @var list<ToldAmount> $told */
        $told = [];
        $count = \count($spans);
        $used = [];
        for ($k = 0; $k < $count; ++$k) {
            $span = $spans[$k];
            if (isset($used[$k])) {
                continue;
            }
            if ($span->is(SpanKind::Thing) && null !== $span->thing) {
                if (
                    $text->is($span->first - 1, 'without', 'no', 'not', 'never', 'than')
                    || ($text->is($span->first - 2, 'than') && $text->is($span->first - 1, 'for', 'the', 'a', 'with', 'of'))
                    || ($text->is($span->first - 1, 'eat', 'use', 'take')
                        && $text->is($span->first - 2, "don't", "doesn't", 'not', 'never'))
                ) {
                    continue;
                }
                // "take the second milk": what is pressed of something told, no thing by itself
                if ($this->clues->isPressing($text, $span, $spans, $k, $before) || $this->clues->isForATest($text, $span)) {
                    continue;
                }
                $told[] = $this->named($text, $this->clues->sorted($text, $span));
                continue;
            }
            if (!$span->is(SpanKind::Measure, SpanKind::Number, SpanKind::Vague) || $span->isShare) {
                continue;
            }
            if ($this->clues->isATool($text, $span)) {
                continue;
            }
            $thing = $this->following($text, $spans, $k);
            $last = array_key_last($told);
            $unit = null === $last ? null : $this->clues->sameUnit($text, $span, $told[$last]);
            if (null !== $unit) {
                $span = new Span(SpanKind::Measure, $span->first, $span->next, $span->from, $span->to, $unit);
            }
            $isEach = $text->is($span->next, 'each')
                || $text->phrase($span->next, 'of each') > 0
                || $text->phrase($span->next, 'a piece each') > 0;
            if ($isEach) {
                $told = $this->second->each($text, $span, $told, $spans, $k, $used);
                continue;
            }
            // "sugar 300 g, water 120 ml": a thing right before that has none yet goes first where the next thing has its own.
            if (null !== $thing && null !== $last && !$told[$last]->isTold && $this->isListed($text, $spans, $k, $thing, $told[$last])) {
                $thing = null;
            }
            if (null !== $thing && $this->clues->isForATest($text, $spans[$thing])) {
                $used[$thing] = true;
                continue;
            }
            if (null !== $thing) {
                $amount = $this->weighed->amount(
                    $text,
                    $span,
                    $spans[$thing]->thing,
                    $text->words($spans[$thing]->first, $spans[$thing]->next),
                    $spans[$thing]->next,
                );
                if (null !== $amount) {
                    $used[$thing] = true;
                    // "two cups, that is 200 g of milk": once more of the same.
                    $isAgain = null !== $last && $told[$last]->key() === $amount->key() && null !== $told[$last]->from
                        && 1 === preg_match(
                            '/\b(?:that is|which is|that makes|in other words|i mean)\b/i',
                            $text->words($told[$last]->next, $span->first),
                        );
                    $told = $isAgain ? $this->second->behind($text, $span, $told, $last) : [...$told, $amount];
                }
                continue;
            }
            if ($span->is(SpanKind::Measure)) {
                $both = null !== $last && $this->clues->isOfLast($text, $told[$last], $span) ? null : $this->twice($text, $spans, $k);
                if (null !== $both) {
                    [$amount, $of] = $both;
                    $told = $this->second->behind($text, $spans[$k + 1], [...$told, $amount], \count($told));
                    $used[$k + 1] = $used[$of] = true;
                    continue;
                }
                // "1 tbsp til" at the end of a line is no "till".
                $stopped = $text->at($span->next + 1)?->isWord() ?? false ? null : $this->things->at($text, $span->next, true);
                $amount = null === $stopped ? null : $this->weighed->amount(
                    $text,
                    $span,
                    $stopped[0],
                    $text->words($span->next, $stopped[1]),
                    $stopped[1],
                );
                if (null !== $amount) {
                    $told[] = $amount;
                    continue;
                }
                $name = $this->unknown($text, $span);
                // "a tumbler of thick milk", where a coconut was told
                $pressed = null === $name ? null : $this->clues->pressed($text, $span, $name, [...$before, ...$told]);
                if (null !== $pressed) {
                    $told[] = $this->weighed->amount($text, $span, $pressed, $name[0], $name[1])
                        ?? throw new \LogicException('A measure is an amount.');
                    continue;
                }
                // "the figs, half a kilo of dried ones"
                if (null !== $name && null !== $last && 1 === preg_match('/\bones?$/i', $name[0])) {
                    $told = $this->second->behind($text, $span, $told, $last);
                    continue;
                }
                // "three kilos of flesh": of what was named before.
                $isPart = null !== $name && null !== $last && $this->lexicon->isIn('parts', mb_strtolower($name[0]));
                if ($isPart && 'water' === $told[$last]->key()) {
                    continue;
                }
                if (null !== $name && !$isPart) {
                    $told[] = $this->weighed->amount($text, $span, null, $name[0], $name[1])
                        ?? throw new \LogicException('A measure is an amount.');
                    continue;
                }
            }
            if (null !== $last) {
                $told = $this->second->behind($text, $span, $told, $last);
            } elseif ($span->is(SpanKind::Measure) && null !== ($of = $this->clues->spokenOf($text, $span, $before))) {
                $amount = $this->weighed->amount($text, $span, $of->thing, $of->named, $span->next);
                $told = null === $amount ? $told : [...$told, $amount];
            } elseif (
                $span->is(SpanKind::Measure)
                && [] !== $before
                && $text->is($span->next, 'of')
                && $text->is($span->next + 1, 'it', 'them')
            ) {
                $of = $before[\count($before) - 1];
                $amount = $this->weighed->amount($text, $span, $of->thing, $of->named, $span->next);
                if (null !== $amount) {
                    $told[] = $amount;
                }
            }
        }

        return $told;
    }

    /**
     * "4 cups (600 ml) water": two measures before the thing.
     *
     * @param list<Span> $spans
     *
     * @return array{ToldAmount, int}|null by the first measure, and where the thing is
     */
    private function twice(Text $text, array $spans, int $k): ?array
    {
        $next = $spans[$k + 1] ?? null;
        if (null === $next || !$next->is(SpanKind::Measure)) {
            return null;
        }
        for ($i = $spans[$k]->next; $i < $next->first; ++$i) {
            if (!$text->is($i, '(', '/', '=', ',', 'or', 'about', '~')) {
                return null;
            }
        }
        $of = $this->following($text, $spans, $k + 1);
        if (null === $of) {
            return null;
        }
        $thing = $spans[$of];
        $amount = $this->weighed->amount(
            $text,
            $spans[$k],
            $thing->thing,
            $text->words($thing->first, $thing->next),
            $thing->next,
        );

        return null === $amount ? null : [$amount, $of];
    }

    private function named(Text $text, Span $span): ToldAmount
    {
        return new ToldAmount(
            $span->thing,
            $text->words($span->first, $span->next),
            null,
            null,
            null,
            '',
            $span->first,
            $span->next,
            isTold: false,
        );
    }

    /**
     * The thing that follows an amount directly: nothing but "of" and how it is stands between.
     *
     * @param list<Span> $spans
     */
    private function following(Text $text, array $spans, int $k): ?int
    {
        $span = $spans[$k];
        for ($n = $k + 1; $n < \count($spans); ++$n) {
            $next = $spans[$n];
            if (
                $next->is(SpanKind::Verb)
                && (VerbForm::Done === $next->form || $this->lexicon->isIn('states', $text->at($next->first)->word ?? ''))
            ) {
                continue;
            }
            if (!$next->is(SpanKind::Thing)) {
                return null;
            }
            // "a kilo of floury potatoes": one word of how it is that nobody listed; not before what is many things ("oat milk").
            $isHow = $text->is($span->next, 'of') && $next->first === $span->next + 2
                && ($text->at($span->next + 1)?->isWord() ?? false)
                && !$this->lexicon->isIn('ends', $text->at($span->next + 1)->word)
                && null === $this->lexicon->verb($text, $span->next + 1)
                && 1 !== preg_match('/\b(?:milk|oil|butter|flour|cream|water|syrup|sugar|paste|powder|vinegar|salt|bread|leaf|leaves)$/i',
                    $text->words($next->first, $next->next));
            if ($isHow) {
                return $n;
            }
            for ($i = $span->next; $i < $next->first; ++$i) {
                $word = $text->at($i)->word ?? '';
                $isDone = null !== ($verb = $this->lexicon->verb($text, $i)) && VerbForm::Done === $verb[1];
                if ('of' !== $word && '-' !== $word && ')' !== $word && !$isDone && !$this->lexicon->isIn('states', $word)) {
                    return null;
                }
            }

            return $n;
        }

        return null;
    }

    /** @param list<Span> $spans */
    private function isListed(Text $text, array $spans, int $k, int $thing, ToldAmount $last): bool
    {
        $span = $spans[$k];
        $isRight = true;
        for ($i = $last->next; $i < $span->first; ++$i) {
            $isRight = $isRight && ($text->is($i, ':', '-', '–', ',') || $this->lexicon->isIn('states', $text->at($i)->word ?? ''));
        }
        if (!$isRight || $text->is($span->next, 'of')) {
            return false;
        }
        $after = $spans[$thing + 1] ?? null;

        return null !== $after && $after->is(SpanKind::Measure) && null === $this->following($text, $spans, $thing + 1);
    }

    /** @return array{string, int}|null the words behind "of", or right behind the unit, and where they end */
    private function unknown(Text $text, Span $span): ?array
    {
        $i = $span->next;
        if ($text->is($i, 'of')) {
            ++$i;
        }
        while ($this->lexicon->isIn('states', $text->at($i)->word ?? '') && !$text->is($i, 'whole', 'cooked', 'green')) {
            ++$i;
        }
        $from = $i;
        while (
            $i - $from < self::LONGEST_NAME
            && ($text->at($i)?->isWord() ?? false)
            && !$this->lexicon->isIn('ends', $text->at($i)->word)
            && null === $this->lexicon->verb($text, $i)
            && (0 === $this->lexicon->covers('next', $text, $i))
        ) {
            ++$i;
        }

        // A thing of the larder inside it: then it is that thing's own word, not an unknown one.
        return $i > $from
            && !$text->is($from, 'size', 'back', 'aside', 'apart', 'over', 'out')
            && !$text->is($i - 1, 'syrup')
            && !$text->is($from + 1, 'size')
            && !$this->lexicon->saysNothing($text, $from)
            && !$this->lexicon->isStopped($text->at($from)->word ?? '')
            && !$this->lexicon->isIn('notFood', $text->at($i - 1)->word ?? '') ? [$text->words($from, $i), $i] : null;
    }
}
