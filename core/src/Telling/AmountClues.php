<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Larder\Ingredient;

/** What stands around a measure and says of what it is: the thing before, the sentence before, the unit of the one before. */
final readonly class AmountClues
{
    public function __construct(private Things $things)
    {
    }

    /** "wheat flour, that is one cup", "raw rice one and a half cups": of the thing before, whatever follows behind a comma. */
    public function isOfLast(Text $text, ToldAmount $last, Span $span): bool
    {
        $between = $text->words($last->next, $span->first);
        if (1 === preg_match('/^\W*(?:that is|that\'s|which is|that makes|so)\W*$/i', $between)) {
            return true;
        }
        // "a tin of condensed milk, 400 g, four tablespoons of corn flour"
        if ($last->isTold && $text->is($span->next, ',') && 1 === preg_match('/^\W*$/', $between)) {
            return true;
        }

        return !$last->isTold && $last->next === $span->first;
    }

    /**
     * "The second milk" without its amount, where none was told before.
     *
     * @param list<Span>       $spans
     * @param list<ToldAmount> $before
     */
    public function isPressing(Text $text, Span $span, array $spans, int $k, array $before): bool
    {
        if (1 !== preg_match('/^(?:first|second|third) (?:thin |thick )?milk$/i', $text->words($span->first, $span->next))) {
            return false;
        }
        $next = $spans[$k + 1] ?? null;
        $isMeasured = null !== $next && $next->is(SpanKind::Measure, SpanKind::Number, SpanKind::Vague) && $next->first <= $span->next + 1;
        foreach ($before as $told) {
            $isMeasured = $isMeasured || ($told->isTold && $told->thing?->id === $span->thing?->id);
        }

        return !$isMeasured;
    }

    /** "With the back of a ladle", "with a spoon": what it is done with. */
    public function isATool(Text $text, Span $span): bool
    {
        $isLoose = $span->is(SpanKind::Measure) && null !== $span->unit && $span->unit->isLoose();

        return $isLoose && !$text->is($span->next, 'of') && (
            ($text->is($span->first - 1, 'of') && $text->is($span->first - 2, 'back', 'end', 'tip', 'side', 'edge', 'handle'))
            || ($text->is($span->first - 1, 'with') && !($text->at($span->next)?->isWord() ?? false))
        );
    }

    /** "Drop a bit into a bowl of cold water": what it is tried in goes into nothing. */
    public function isForATest(Text $text, Span $span): bool
    {
        return 'water' === $span->thing?->id && 1 === preg_match(
            '/\b(?:drop|dribble|drip|bit|test|try)\b.*\b(?:into|in)(?: a| some)?(?: bowl| cup| glass| saucer)?(?: of)?'
                .'(?: cold| iced| cool)*\W*$/i',
            $text->words(max(0, $span->first - 10), $span->first),
        );
    }

    /** @return SpokenUnit|null the unit of "and one of milk", after "five measures of water" */
    public function sameUnit(Text $text, Span $span, ToldAmount $last): ?SpokenUnit
    {
        // "a teaspoon of cardamom, a quarter of nutmeg, grated": of the whole nut.
        $isOfWhole = ($span->from ?? 0.0) < 1.0 && 1 === preg_match('/^\W*of [\p{L} ]+, (?:freshly )?grated\b/iu',
            $text->words($span->next, $span->next + 6));

        return !$isOfWhole && $span->is(SpanKind::Number) && $last->isTold && $text->is($span->next, 'of')
            && 1 === preg_match('/^\W*(?:and|plus|to|,)?\W*$/i', $text->words($last->next, $span->first)) ? $last->unit : null;
    }

    /**
     * "Do the milk first. Three litres, full fat": of what the sentence before spoke of.
     *
     * @param list<ToldAmount> $before
     */
    public function spokenOf(Text $text, Span $span, array $before): ?ToldAmount
    {
        $of = [] === $before ? null : $before[\count($before) - 1];
        if (null === $of || $of->isTold || $text->is($span->next, 'of')) {
            return null;
        }
        foreach ($text->sentences as $k => [$from]) {
            if ($from === $span->first) {
                return $k > 0 && $of->first >= $text->sentences[$k - 1][0] ? $of : null;
            }
        }

        return null;
    }

    /**
     * @param array{string, int} $name
     * @param list<ToldAmount>   $told
     */
    public function pressed(Text $text, Span $span, array $name, array $told): ?Ingredient
    {
        if (1 !== preg_match('/\b(thick|thin|first|second|third) milk\b/i', $text->words($span->next, $name[1]), $match)) {
            return null;
        }
        $isCoconut = [] !== array_filter($told, static fn (ToldAmount $a): bool => str_starts_with($a->key(), 'coconut'));
        $sort = \in_array(mb_strtolower($match[1]), ['thick', 'first'], true) ? 'thick coconut milk' : 'thin coconut milk';

        return $isCoconut ? ($this->things->at(Text::of($sort), 0)[0] ?? null) : null;
    }

    /** "Sugar, powdered, 350 g": a sort that has a name of its own. */
    public function sorted(Text $text, Span $span): Span
    {
        $how = $text->at($span->next + 1);
        if (!$text->is($span->next, ',') || null === $how || !$how->isWord() || !$text->is($span->next + 2, ',', '.', ':')) {
            return $span;
        }
        $sort = $this->things->at(Text::of($how->word.' '.$text->words($span->first, $span->next)), 0);
        $isWhole = null !== $sort && $sort[1] === 1 + $span->next - $span->first;

        return $isWhole ? new Span(SpanKind::Thing, $span->first, $span->next + 2, thing: $sort[0]) : $span;
    }
}
