<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Larder\Ingredient;

/**
 * Which amount belongs to which thing: "two cups of rice", "rice, two cups", "twenty cashews", "250 g, that is a cup". A second measure
 * of a thing stays beside the first.
 */
final readonly class Amounts
{
    private const LONGEST_NAME = 3;

    /** Where the name of something that no larder knows ends. */
    private const ENDS = ['and', 'with', 'in', 'for', 'till', 'until', 'to', 'then', 'on', 'into', 'or', 'is', 'are', 'goes', 'go', 'which',
        'that', 'it', 'when', 'if', 'from', 'by', 'at', 'over', 'so', 'but', 'as', 'of', 'i', 'you', 'we', 'they', 'not', 'no', 'a', 'the', 'more',
        'each', 'altogether', 'per', 'than', 'because', 'after', 'before', 'now', 'only', 'also', 'too', 'was', 'were', 'will', 'this', 'these',
        'those', 'them', 'him', 'her', 'my', 'our', 'your', 'round', 'enough', 'what', 'where', 'there', 'here', 'about', 'well', 'off', 'out',
        'up', 'down', 'later', 'long', 'high', 'deep', 'wide', 'thick', 'do', 'be', 'has', 'have', 'should', 'must', 'plus', 'every', 'some',
        'such', 'same', 'side', 'all', 'will', 'can', 'one', 'two', 'three', 'half', 'until', 'just', 'very', 'again', 'stir', 'goes', 'in', 'without', 'while', 'against', 'between', 'beside', 'under'];

    public function __construct(private Lexicon $lexicon, private Things $things, private Weighing $weighing)
    {
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
        /** @var list<Span> $pending measures that were told for every thing of a list: "100 g each" */
        $count = \count($spans);
        $used = [];
        for ($k = 0; $k < $count; ++$k) {
            $span = $spans[$k];
            if (isset($used[$k])) {
                continue;
            }
            if ($span->is(SpanKind::Thing) && null !== $span->thing) {
                if ($text->is($span->first - 1, 'without', 'no', 'not', 'never')) {
                    continue;
                }
                $told[] = $this->named($text, $span);
                continue;
            }
            if (!$span->is(SpanKind::Measure, SpanKind::Number, SpanKind::Vague) || $span->isShare) {
                continue;
            }
            $thing = $this->following($text, $spans, $k);
            $last = array_key_last($told);
            $isEach = $text->is($span->next, 'each') || $text->phrase($span->next, 'of each') > 0 || $text->phrase($span->next, 'a piece each') > 0;
            if ($isEach) {
                $told = $this->each($text, $span, $told, $spans, $k, $used);
                continue;
            }
            // "sugar 300 g, water 120 ml": a thing right before that has none yet goes first where the next thing has its own.
            if (null !== $thing && null !== $last && !$told[$last]->isTold && $this->isListed($text, $spans, $k, $thing, $told[$last])) {
                $thing = null;
            }
            if (null !== $thing) {
                $amount = $this->amount($text, $span, $spans[$thing]->thing, $text->words($spans[$thing]->first, $spans[$thing]->next), $spans[$thing]->next);
                if (null !== $amount) {
                    $told[] = $amount;
                    $used[$thing] = true;
                }
                continue;
            }
            if ($span->is(SpanKind::Measure)) {
                $both = $this->twice($text, $spans, $k);
                if (null !== $both) {
                    [$amount, $of] = $both;
                    $told = $this->behind($text, $spans[$k + 1], [...$told, $amount], \count($told));
                    $used[$k + 1] = $used[$of] = true;
                    continue;
                }
                // "1 tbsp til" at the end of a line is no "till".
                $stopped = $text->at($span->next + 1)?->isWord() ?? false ? null : $this->things->at($text, $span->next, true);
                $amount = null === $stopped ? null : $this->amount($text, $span, $stopped[0], $text->words($span->next, $stopped[1]), $stopped[1]);
                if (null !== $amount) {
                    $told[] = $amount;
                    continue;
                }
                $name = $this->unknown($text, $span);
                // "three kilos of flesh": of what was named before.
                $isPart = null !== $name && null !== $last && $this->lexicon->isIn('parts', mb_strtolower($name[0]));
                if (null !== $name && !$isPart) {
                    $told[] = $this->amount($text, $span, null, $name[0], $name[1]) ?? throw new \LogicException('A measure is an amount.');
                    continue;
                }
            }
            if (null !== $last) {
                $told = $this->behind($text, $span, $told, $last);
            } elseif ($span->is(SpanKind::Measure) && [] !== $before && $text->is($span->next, 'of') && $text->is($span->next + 1, 'it', 'them')) {
                $of = $before[\count($before) - 1];
                $amount = $this->amount($text, $span, $of->thing, $of->named, $span->next);
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
        $thing = null === $of ? null : $spans[$of];
        $amount = null === $thing ? null : $this->amount($text, $spans[$k], $thing->thing, $text->words($thing->first, $thing->next), $thing->next);

        return null === $amount || null === $of ? null : [$amount, $of];
    }

    private function named(Text $text, Span $span): ToldAmount
    {
        return new ToldAmount($span->thing, $text->words($span->first, $span->next), null, null, null, '', $span->first, $span->next, isTold: false);
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
            if ($next->is(SpanKind::Verb) && VerbForm::Done === $next->form) {
                continue;
            }
            if (!$next->is(SpanKind::Thing)) {
                return null;
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

    /**
     * A measure without a thing behind it: of the thing before, or a second measure of it.
     *
     * @param list<ToldAmount> $told
     *
     * @return list<ToldAmount>
     */
    private function behind(Text $text, Span $span, array $told, int $last): array
    {
        $of = $told[$last];
        if ($span->is(SpanKind::Number)) {
            $from = $span->from ?? 0.0;
            $isShareOfUnit = $of->isTold && null !== $of->unit && $from <= 1 && 1 === preg_match('/^\W*(?:is|are|will|would|was)\b/i', $text->words($span->next, $span->next + 3));
            if ($isShareOfUnit) {
                $span = new Span(SpanKind::Measure, $span->first, $span->next, $span->from, $span->to, $of->unit);
            } elseif ($of->isTold) {
                // "600 grams, no: five hundred and fifty"
                if (!$this->isCorrection($text, $of->next, $span->first) || null === $of->unit) {
                    return $told;
                }
                $span = new Span(SpanKind::Measure, $span->first, $span->next, $span->from, $span->to, $of->unit);
            } elseif ($from <= 6 && isset($told[$last - 1]) && \in_array($told[$last - 1]->unit, [SpokenUnit::Teaspoon, SpokenUnit::Tablespoon, SpokenUnit::Cup,
                SpokenUnit::Spoon], true)) {
                // "nutmeg half a teaspoon, cardamom one"
                $span = new Span(SpanKind::Measure, $span->first, $span->next, $span->from, $span->to, $told[$last - 1]->unit);
            } elseif ($from < Weighing::GRAMS_FROM && (null === $of->thing || !Weighing::isCounted($of->thing))) {
                return $told;
            }
        }
        if ($span->is(SpanKind::Vague)) {
            if (!$of->isTold) {
                $told[$last] = new ToldAmount($of->thing, $of->named, null, null, null, $text->words($span->first, $span->next), $of->first, $span->next);
            }

            return $told;
        }
        $amount = $this->amount($text, $span, $of->thing, $of->named, $span->next, $of->first);
        if (null === $amount) {
            return $told;
        }
        if (null === $of->from) {
            $told[$last] = $amount;

            return $told;
        }
        if ($this->isCorrection($text, $of->next, $span->first)) {
            $told[$last] = $amount;

            return $told;
        }
        // Grams and cups beat pieces and tins: "two coconuts, that gives five cups".
        if (
            \in_array($of->unit, [SpokenUnit::Piece, SpokenUnit::Tin, SpokenUnit::Pack, SpokenUnit::Handful, SpokenUnit::Slice, SpokenUnit::Block, SpokenUnit::Lump], true)
            && null !== ($amount->unit?->grams() ?? $amount->unit?->millilitres(240.0))
            && !$amount->unit->isLoose()
        ) {
            $told[$last] = $amount->beside($of);

            return $told;
        }
        // What was weighed is surer than what was measured, where both agree.
        if (
            null !== $of->grams && null !== $amount->grams && null !== $amount->unit?->grams() && null === $of->unit?->grams()
            && max($of->grams, $amount->grams) <= 1.2 * min($of->grams, $amount->grams)
        ) {
            $told[$last] = $amount->beside($of);

            return $told;
        }
        // Another sort of amount in the same breath ("8 mm", "40 g each") is none of it.
        $told[$last] = $of->beside($amount);

        return $told;
    }

    /** "no:", "no, wait" between two amounts takes the first back. */
    private function isCorrection(Text $text, int $from, int $to): bool
    {
        for ($i = $from; $i < $to; ++$i) {
            if ($text->is($i, 'no', 'wait', 'sorry', 'rather')) {
                return true;
            }
        }

        return false;
    }

    /**
     * "100 g each cashews and raisins", "pepper and ginger, a teaspoon each", "milk and water, two cups of each".
     *
     * @param list<ToldAmount> $told
     * @param list<Span>       $spans
     * @param array<int, true> $used
     *
     * @return list<ToldAmount>
     */
    private function each(Text $text, Span $span, array $told, array $spans, int $k, array &$used): array
    {
        $any = false;
        foreach ($told as $n => $of) {
            if (!$of->isTold) {
                $told[$n] = $this->amount($text, $span, $of->thing, $of->named, $span->next, $of->first) ?? $of;
                $any = true;
            }
        }
        if ($any) {
            return $told;
        }
        $last = array_key_last($told);
        // "two tins, 400 ml each"
        if (null !== $last && null !== $told[$last]->from && \in_array($told[$last]->unit, [SpokenUnit::Tin, SpokenUnit::Pack, null], true) && SpanKind::Measure === $span->kind) {
            $times = $told[$last]->from;
            $whole = new Span(SpanKind::Measure, $span->first, $span->next, $times * ($span->from ?? 0.0), $times * ($span->to ?? 0.0), $span->unit);
            $told[$last] = $this->amount($text, $whole, $told[$last]->thing, $told[$last]->named, $span->next, $told[$last]->first) ?? $told[$last];

            return $told;
        }
        for ($n = $k + 1; $n < \count($spans); ++$n) {
            if ($spans[$n]->is(SpanKind::Thing) && null !== $spans[$n]->thing) {
                $amount = $this->amount($text, $span, $spans[$n]->thing, $text->words($spans[$n]->first, $spans[$n]->next), $spans[$n]->next);
                if (null !== $amount) {
                    $told[] = $amount;
                    $used[$n] = true;
                }
            }
        }

        return $told;
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
            && !$text->is($i, ...self::ENDS)
            && null === $this->lexicon->verb($text, $i)
            && (0 === $this->lexicon->covers('next', $text, $i))
        ) {
            ++$i;
        }

        // A thing of the larder inside it: then it is that thing's own word, not an unknown one.
        return $i > $from && !$this->lexicon->isStopped($text->at($from)->word ?? '') && !$this->lexicon->isIn('notFood', $text->at($i - 1)->word ?? '') ? [$text->words($from, $i), $i] : null;
    }

    private function amount(Text $text, Span $span, ?Ingredient $thing, string $named, int $next, ?int $first = null): ?ToldAmount
    {
        $first = min($first ?? $span->first, $span->first);
        if ($span->is(SpanKind::Vague)) {
            return new ToldAmount($thing, $named, null, null, null, $text->words($span->first, $span->next), $first, $next);
        }
        $unit = $span->unit;
        if (null === $unit) {
            $isCounted = null !== $thing && Weighing::isCounted($thing);
            $isMany = ($span->from ?? 0.0) >= Weighing::GRAMS_FROM;
            if (!$isCounted && !$isMany) {
                return null === $thing ? null : $this->uncounted($text, $span, $thing, $named, $next, $first);
            }
            $unit = !$isCounted || ($span->from ?? 0.0) > 100 ? SpokenUnit::Gram : self::countedBy($thing);
        }
        $guesses = [];
        if ($span->from !== $span->to) {
            $guesses[] = new Guess('the middle of the range was taken');
        }
        if (null === $span->unit && SpokenUnit::Gram === $unit) {
            $guesses[] = new Guess('a number without a unit was taken as grams');
        }
        $middle = (($span->from ?? 0.0) + ($span->to ?? 0.0)) / 2;
        $grams = null === $thing ? $this->weighing->gramsOfUnknown($middle, $unit, $guesses) : $this->weighing->grams($middle, $unit, $thing, $guesses);

        return new ToldAmount(
            $thing,
            $named,
            $span->from,
            $span->to,
            $unit,
            '',
            $first,
            max($next, $span->next),
            $grams,
            $guesses,
        );
    }

    /** By what it is counted where no unit is said. */
    private static function countedBy(Ingredient $thing): SpokenUnit
    {
        if (null !== $thing->weights->eachGrams || isset($thing->weights->small['piece'])) {
            return SpokenUnit::Piece;
        }
        foreach ([SpokenUnit::Pod, SpokenUnit::Clove, SpokenUnit::Leaf, SpokenUnit::Stick] as $unit) {
            if (isset($thing->weights->small[$unit->value])) {
                return $unit;
            }
        }

        return SpokenUnit::Piece;
    }

    /** "two lemons" of a thing that the larder counts in no way: a number of pieces that nobody can weigh; "one water" is none. */
    private function uncounted(Text $text, Span $span, Ingredient $thing, string $named, int $next, int $first): ?ToldAmount
    {
        if ($text->is($span->next, 'of') || ($span->from ?? 0.0) < 1) {
            return null;
        }

        return str_ends_with($named, 's') || null !== $thing->weights->eachGrams
            ? new ToldAmount($thing, $named, $span->from, $span->to, SpokenUnit::Piece, '', $first, $next, null, [new Guess('how much one weighs is not known')])
            : null;
    }
}
