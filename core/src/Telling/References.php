<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** "The flour", "the chana": a thing that was told before, by a part of its name. */
final readonly class References
{
    public function __construct(private Lexicon $lexicon, private Things $things)
    {
    }

    /**
     * @param list<Span>       $spans
     * @param list<Fragment>   $pieces
     * @param list<ToldAmount> $own    told in this sentence
     * @param list<ToldAmount> $before told before it
     *
     * @return list<ToldAmount> with what is named again, in the order of the text
     */
    public function with(Text $text, array $spans, array $pieces, array $own, array $before): array
    {
        $covered = [];
        foreach ($spans as $span) {
            if (!$span->is(SpanKind::Number)) {
                for ($i = $span->first; $i < $span->next; ++$i) {
                    $covered[$i] = true;
                }
            }
        }
        foreach ($own as $amount) {
            for ($i = $amount->first; $i < $amount->next; ++$i) {
                $covered[$i] = true;
            }
        }
        foreach ($own as $k => $amount) {
            $own[$k] = $this->meant($amount, [...$before, ...$own]);
        }
        $found = [];
        foreach ($pieces as $piece) {
            for ($i = $piece->first; $piece->kind->counts() && $i < $piece->next; ++$i) {
                $token = $text->at($i);
                if (isset($covered[$i]) || null === $token || !$token->isWord() || mb_strlen($token->word) < 4) {
                    continue;
                }
                $again = $this->again($token->word, [...$before, ...$own]);
                // "the juice of three lemons" is told once.
                $isOfIt = $text->is($i + 1, 'of') && null !== $again && $again->first > $i && $again->first < $i + 5;
                if (null !== $again && !$isOfIt) {
                    $found[] = new ToldAmount($again->thing, $token->word, null, null, null, '', $i, $i + 1, isTold: false);
                }
            }
        }
        $all = [...$own, ...$found];
        usort($all, static fn (ToldAmount $a, ToldAmount $b): int => $a->first <=> $b->first);

        return $all;
    }

    /**
     * "The rice" of puffed rice, "the almond meal" of almonds that were ground: what is only named and was told by another name.
     *
     * @param list<ToldAmount> $told
     */
    private function meant(ToldAmount $amount, array $told): ToldAmount
    {
        if ($amount->isTold || null === $amount->thing) {
            return $amount;
        }
        $words = fn (string $name): array => array_map($this->things->plainWord(...), explode(' ', mb_strtolower($name)));
        $close = null;
        foreach ($told as $other) {
            if ($other->key() === $amount->key()) {
                if ($other->isTold) {
                    return $amount;
                }
            } elseif ($other->isTold && null !== $other->thing) {
                $named = $words((string) preg_replace('/ (?:meal|powder|paste)$/i', '', $amount->named));
                // A shorter word for it, and no common one.
                if (
                    [] === array_diff($named, $words($other->named))
                    && [] !== array_diff($named, ['milk', 'vater', 'oil', 'leaf', 'seed', 'sed'])
                ) {
                    $close = $other;
                }
            }
        }

        // "the flour" of rice that was ground
        if (null === $close && 1 === preg_match('/^(?:flour|meal|powder)$/i', $amount->named)) {
            foreach (array_reverse($told) as $other) {
                $isGrain = 1 === preg_match('/rice|wheat|millet|moong|chana|urad|sago|gram|semolina|nut|almond/', $other->thing->id ?? '');
                if ($other->isTold && $isGrain) {
                    $close = $other;
                    break;
                }
            }
        }

        return null === $close
            ? $amount
            : new ToldAmount($close->thing, $amount->named, null, null, null, '', $amount->first, $amount->next, isTold: false);
    }

    /** @param list<ToldAmount> $told */
    private function again(string $word, array $told): ?ToldAmount
    {
        if ($this->lexicon->isIn('states', $word) || $this->lexicon->isIn('stop', $word)) {
            return null;
        }
        $plain = $this->things->plainWord($word);
        foreach (array_reverse($told) as $amount) {
            if (null === $amount->thing) {
                continue;
            }
            $names = [$amount->named, $amount->thing->name, ...$amount->thing->names];
            foreach ($names as $name) {
                $words = explode(' ', mb_strtolower(explode(',', $name)[0]));
                if ($this->things->plainWord($words[\count($words) - 1]) === $plain) {
                    return $amount;
                }
            }
        }

        return null;
    }
}
