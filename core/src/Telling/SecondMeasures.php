<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** A measure without a thing behind it: of the thing before, a second measure of it, or of each of several. */
final readonly class SecondMeasures
{
    private const IMPRECISE = [SpokenUnit::Piece, SpokenUnit::Tin, SpokenUnit::Pack, SpokenUnit::Handful, SpokenUnit::Slice,
        SpokenUnit::Block, SpokenUnit::Lump, SpokenUnit::Measure];

    public function __construct(private Weighed $weighed)
    {
    }

    /**
     * A measure without a thing behind it: of the thing before, or a second measure of it.
     *
     * @param list<ToldAmount> $told
     *
     * @return list<ToldAmount>
     */
    public function behind(Text $text, Span $span, array $told, int $last): array
    {
        $of = $told[$last];
        if ($span->is(SpanKind::Number)) {
            $from = $span->from ?? 0.0;
            // "on low for twenty-five": minutes
            if ($text->is($span->first - 1, 'for') || $text->is($span->next, 'of')) {
                return $told;
            }
            $isShareOfUnit = $of->isTold
                && null !== $of->unit
                && $from <= 1
                && 1 === preg_match('/^\W*(?:is|are|will|would|was)\b/i', $text->words($span->next, $span->next + 3));
            if ($isShareOfUnit) {
                $span = new Span(SpanKind::Measure, $span->first, $span->next, $span->from, $span->to, $of->unit);
            } elseif ($of->isTold) {
                // "600 grams, no: five hundred and fifty"
                if (!$this->isCorrection($text, $of->next, $span->first) || null === $of->unit) {
                    return $told;
                }
                $span = new Span(SpanKind::Measure, $span->first, $span->next, $span->from, $span->to, $of->unit);
            } elseif ($from <= 6 && isset(
                $told[$last - 1],
            ) && \in_array($told[$last - 1]->unit, [SpokenUnit::Teaspoon, SpokenUnit::Tablespoon, SpokenUnit::Cup,
                SpokenUnit::Spoon], true)) {
                // "nutmeg half a teaspoon, cardamom one"
                $span = new Span(SpanKind::Measure, $span->first, $span->next, $span->from, $span->to, $told[$last - 1]->unit);
            } elseif (SpokenUnit::Gram === ($told[$last - 1]->unit ?? null) && $from >= 5) {
                // "dry ginger fifty grams, cardamom fifty"
                $span = new Span(SpanKind::Measure, $span->first, $span->next, $span->from, $span->to, SpokenUnit::Gram);
            } elseif ($from < Weighing::GRAMS_FROM && (null === $of->thing || !Weighing::isCounted($of->thing))) {
                return $told;
            }
        }
        if ($span->is(SpanKind::Vague)) {
            if (!$of->isTold) {
                return self::replaced($told, $last, new ToldAmount(
                    $of->thing,
                    $of->named,
                    null,
                    null,
                    null,
                    $text->words($span->first, $span->next),
                    $of->first,
                    $span->next,
                ));
            }

            return $told;
        }
        $amount = $this->weighed->amount($text, $span, $of->thing, $of->named, $span->next, $of->first);
        if (null === $amount) {
            return $told;
        }
        if (null === $of->from) {
            return self::replaced($told, $last, $amount);
        }
        // "boiled down to a litre and a half": what is left, not what goes in
        if ($text->phrase($span->next, 'at a time') > 0 || ($of->isTold && $text->is($span->first - 1, 'to')
            && !$text->is($span->first - 2, 'came', 'comes', 'come', 'amounts'))) {
            return $told;
        }
        if ($this->isCorrection($text, $of->next, $span->first) || $this->isNet($text, $of->next, $span)) {
            return self::replaced($told, $last, $amount);
        }
        // Grams and cups beat pieces and tins: "two coconuts, that gives five cups".
        $size = $amount->unit?->grams() ?? $amount->unit?->millilitres(240.0);
        $isLoose = null !== $amount->unit && $amount->unit->isLoose();
        if (\in_array($of->unit, self::IMPRECISE, true) && null !== $size && !$isLoose) {
            return self::replaced($told, $last, $amount->beside($of));
        }
        // What was weighed is surer than what was measured, where both agree.
        if (
            null !== $of->grams && null !== $amount->grams && null !== $amount->unit?->grams() && null === $of->unit?->grams()
            && max($of->grams, $amount->grams) <= 1.2 * min($of->grams, $amount->grams)
        ) {
            return self::replaced($told, $last, $amount->beside($of));
        }

        // Another sort of amount in the same breath ("8 mm", "40 g each") is none of it.
        return self::replaced($told, $last, $of->beside($amount));
    }

    /** "a three kilo one, gives two kilos when it is peeled": what is left of it goes in. */
    private function isNet(Text $text, int $from, Span $span): bool
    {
        $between = $text->words($from, $span->first);

        return 1 === preg_match('/\b(?:gives?|gave|leaves?|left with|comes? to|came to|that was|weighed|made|yields?)\b'
            .'|\b(?:in all|altogether|in total)\W*$/i', $between)
            || $text->is($span->next, 'altogether');
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
    public function each(Text $text, Span $span, array $told, array $spans, int $k, array &$used): array
    {
        $any = false;
        foreach ($told as $n => $of) {
            // "with nutmeg and cardamom, a teaspoon each"
            $isOfTwo = $text->is($of->next, 'and') && $text->is($of->first - 1, 'with');
            if (!$of->isTold && ($isOfTwo || !$text->is($of->first - 1, 'in', 'with'))) {
                $told[$n] = $this->weighed->amount($text, $span, $of->thing, $of->named, $span->next, $of->first) ?? $of;
                $any = true;
            }
        }
        if ($any) {
            return $told;
        }
        $last = array_key_last($told);
        // "two tins, 400 ml each"
        if (
            null !== $last
            && null !== $told[$last]->from
            && \in_array($told[$last]->unit, [SpokenUnit::Tin, SpokenUnit::Pack, null], true)
            && SpanKind::Measure === $span->kind
        ) {
            $times = $told[$last]->from;
            $whole = new Span(
                SpanKind::Measure,
                $span->first,
                $span->next,
                $times * ($span->from ?? 0.0),
                $times * ($span->to ?? 0.0),
                $span->unit,
            );
            $told[$last] = $this->weighed->amount(
                $text, $whole, $told[$last]->thing, $told[$last]->named, $span->next, $told[$last]->first,
            ) ?? $told[$last];

            return $told;
        }
        for ($n = $k + 1; $n < \count($spans); ++$n) {
            if ($spans[$n]->is(SpanKind::Thing) && null !== $spans[$n]->thing) {
                $amount = $this->weighed->amount(
                    $text,
                    $span,
                    $spans[$n]->thing,
                    $text->words($spans[$n]->first, $spans[$n]->next),
                    $spans[$n]->next,
                );
                if (null !== $amount) {
                    $told[] = $amount;
                    $used[$n] = true;
                }
            }
        }

        return $told;
    }

    /**
     * @param list<ToldAmount> $told
     *
     * @return list<ToldAmount>
     */
    private static function replaced(array $told, int $place, ToldAmount $by): array
    {
        $told[$place] = $by;

        return array_values($told);
    }
}
