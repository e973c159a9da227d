<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Larder\Ingredient;

/** A span of a text as an amount of a thing. */
final readonly class Weighed
{
    public function __construct(private Weighing $weighing)
    {
    }

    public function amount(Text $text, Span $span, ?Ingredient $thing, string $named, int $next, ?int $first = null): ?ToldAmount
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
        $grams = null === $thing ? $this->weighing->gramsOfUnknown($middle, $unit, $guesses) : $this->weighing->grams(
            $middle,
            $unit,
            $thing,
            $guesses,
        );

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
            ? new ToldAmount(
                $thing,
                $named,
                $span->from,
                $span->to,
                SpokenUnit::Piece,
                '',
                $first,
                $next,
                null,
                [new Guess('how much one weighs is not known')],
            )
            : null;
    }
}
