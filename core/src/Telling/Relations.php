<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** "Twice as much water as rice", "jaggery, the same measure as the lentils", "double the sugar": so many times another thing. */
final readonly class Relations
{
    private const TIMES = ['double' => 2.0, 'twice' => 2.0, 'thrice' => 3.0, 'half' => 0.5, 'same' => 1.0, 'equal' => 1.0];

    public function __construct(private Weighing $weighing)
    {
    }

    /**
     * @param list<ToldAmount> $own    of this sentence, in order
     * @param list<ToldAmount> $before told before it
     *
     * @return list<ToldAmount> those of the sentence, with what follows from a relation
     */
    public function among(Text $text, int $sentence, array $own, array $before): array
    {
        [$from, $to] = $text->sentences[$sentence];
        for ($i = $from; $i < $to; ++$i) {
            [$times, $next] = $this->times($text, $i) ?? [null, 0];
            if (null === $times) {
                continue;
            }
            $isByWeight = 1 === preg_match('/\bweigh(?:t|s)\b/i', $text->words($next, min($to, $next + 4)));
            $of = $this->thing($own, $i, $next);
            $to2 = $this->compared($text, $own, $next, $to, $before)
                ?? $this->last([...$before, ...\array_slice($own, 0, $of ?? 0)], null === $of ? null : $own[$of]->key());
            if (null === $of || null === $to2 || null === $to2->from || $own[$of]->key() === $to2->key() || $own[$of]->isTold) {
                continue;
            }
            $own = array_values(array_replace($own, [$of => $this->related($text, $own[$of], $to2, $times, $i, $next, $isByWeight)]));
        }

        return $own;
    }

    /** @return array{float, int}|null */
    private function times(Text $text, int $i): ?array
    {
        $word = $text->at($i)->word ?? '';
        $next = $i + 1;
        $times = self::TIMES[$word] ?? null;
        if (\in_array($word, ['same', 'equal'], true)) {
            return $text->is(
                $next, 'measure', 'amount', 'quantity', 'weight', 'volume', 'of', 'as', 'measures', 'much',
            ) ? [1.0, $next] : null;
        }
        if (null === $times) {
            $number = Numbers::at($text, $i);
            if (null === $number || !$text->is($number->next, 'times')) {
                return null;
            }
            [$times, $next] = [$number->from, $number->next + 1];
        }

        return $text->is($next, 'as', 'the', 'that', 'its', 'of')
            && !($text->is($next, 'the', 'of') && 'half' === $word) ? [$times, $next] : null;
    }

    /**
     * What the relation is told of: the thing behind it, else the one before it.
     *
     * @param list<ToldAmount> $own
     */
    private function thing(array $own, int $i, int $next): ?int
    {
        $before = null;
        foreach ($own as $k => $amount) {
            if ($amount->first >= $next && $amount->first <= $next + 5 && !$amount->isTold) {
                return $before ?? $k;
            }
            if ($amount->first < $i && $i - $amount->next <= 3 && !$amount->isTold) {
                $before = $k;
            }
        }

        return $before;
    }

    /**
     * What stands behind "as".
     *
     * @param list<ToldAmount> $own
     * @param list<ToldAmount> $before
     */
    private function compared(Text $text, array $own, int $next, int $to, array $before): ?ToldAmount
    {
        for ($i = $next; $i < min($to, $next + 8); ++$i) {
            if (!$text->is($i, 'as', 'than') || $text->is($i + 1, 'much', 'many')) {
                continue;
            }
            foreach ($own as $amount) {
                if ($amount->first > $i && $amount->first <= $i + 4) {
                    foreach (array_reverse($before) as $known) {
                        if (!$amount->isTold && null !== $known->from && $known->key() === $amount->key()) {
                            return $known;
                        }
                    }

                    return $amount;
                }
            }
        }

        return null;
    }

    /** @param list<ToldAmount> $told */
    private function last(array $told, ?string $but): ?ToldAmount
    {
        foreach (array_reverse($told) as $amount) {
            if (null !== $amount->from && $amount->key() !== $but) {
                return $amount;
            }
        }

        return null;
    }

    private function related(Text $text, ToldAmount $of, ToldAmount $to, float $times, int $i, int $next, bool $isByWeight): ToldAmount
    {
        $from = $times * ($to->from ?? 0.0);
        $upTo = $times * ($to->to ?? 0.0);
        $guesses = [new Guess('"{words}" was taken as {factor} times the measure of {of}', [
            'words' => mb_substr($text->words(min($i, $of->first), max($next, $of->next)), 0, 60),
            'factor' => $times,
            'of' => $to->thing->name ?? $to->named,
        ])];
        $unit = $isByWeight && null !== $to->grams ? SpokenUnit::Gram : $to->unit;
        if ($isByWeight && null !== $to->grams) {
            [$from, $upTo] = [$times * $to->grams, $times * $to->grams];
        }
        $grams = null === $of->thing ? null : $this->weighing->grams(($from + $upTo) / 2, $unit, $of->thing, $guesses);

        return new ToldAmount(
            $of->thing, $of->named, $from, $upTo, $unit, '', min($of->first, $i), max($of->next, $next), $grams, $guesses,
        );
    }
}
