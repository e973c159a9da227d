<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Recipe\Process;
use FeastLadle\Words\Sentence;

/** Finds what was told twice and differs: it is asked, never chosen in silence. */
final readonly class Contradictions
{
    /** Two measures of one amount that differ by more than this can't both be meant. */
    private const AGREE = 1.2;

    private const LOOSE = [SpokenUnit::Piece, SpokenUnit::Tin, SpokenUnit::Pack, SpokenUnit::Slice, SpokenUnit::Block, SpokenUnit::Lump,
        SpokenUnit::Handful, SpokenUnit::Bunch, SpokenUnit::Leaf, SpokenUnit::Sheet, SpokenUnit::Spoon, SpokenUnit::Measure];

    private const REST = ['rest' => Process::Rest, 'soaking' => Process::Soak, 'soak' => Process::Soak, 'chilling' => Process::Chill,
        'cooling' => Process::Cool, 'steaming' => Process::Steam];

    /**
     * @param list<ToldAmount> $amounts
     * @param list<ToldStep>   $steps
     * @param list<Fragment>   $fragments
     *
     * @return list<Contradiction>
     */
    public static function of(Text $text, array $amounts, array $steps, array $fragments): array
    {
        return [
            ...self::measures($text, $amounts),
            ...self::asides($text, $amounts, $fragments),
            ...self::lids($text, $fragments),
            ...self::reductions($text, $steps),
            ...self::times($text, $steps, $fragments),
        ];
    }

    /**
     * @param list<ToldAmount> $amounts
     *
     * @return list<Contradiction>
     */
    private static function measures(Text $text, array $amounts): array
    {
        $found = [];
        foreach ($amounts as $amount) {
            foreach ($amount->others as $other) {
                if (
                    \in_array($amount->unit, self::LOOSE, true)
                    || \in_array($other->unit, self::LOOSE, true)
                    || self::agree(self::size($amount), self::size($other))
                ) {
                    continue;
                }
                $found[] = new Contradiction(
                    $amount->thing->id ?? $amount->named,
                    new Sentence('{thing}: {one} and {two} were both told, and they are not the same. Which is meant?', [
                        'thing' => $amount->thing->name ?? $amount->named,
                        'one' => self::told($amount),
                        'two' => self::told($other),
                    ]),
                    $amount->first,
                    $amount->next,
                    $amount,
                );
            }
        }

        return $found;
    }

    /** @return float|null grams, or the bare number where both go by one unit */
    private static function size(ToldAmount $amount): ?float
    {
        return $amount->grams;
    }

    private static function told(ToldAmount $amount): string
    {
        $number = rtrim(rtrim(\sprintf('%.2f', $amount->from ?? 0.0), '0'), '.');

        $unit = $amount->unit->value ?? '';
        if ('g' === $unit || null === $amount->grams) {
            return $number.' '.$unit;
        }

        return $number.' × '.$unit.' ('.round($amount->grams).' g)';
    }

    /**
     * Somebody else says another number: "my notebook says six kilos in one place and five in the other".
     *
     * @param list<ToldAmount> $amounts
     * @param list<Fragment>   $fragments
     *
     * @return list<Contradiction>
     */
    private static function asides(Text $text, array $amounts, array $fragments): array
    {
        $found = [];
        foreach ($fragments as $piece) {
            $measure = $piece->of(SpanKind::Measure);
            if (FragmentKind::Aside !== $piece->kind || null === $measure || $piece->has(SpanKind::Thing)) {
                continue;
            }
            $numbers = array_map(
                static fn (Span $s): float => $s->from ?? 0.0,
                array_filter($piece->spans, static fn (Span $s): bool => $s->is(SpanKind::Measure, SpanKind::Number)),
            );
            foreach (array_reverse($amounts) as $amount) {
                $isIt = $amount->unit === $measure->unit && null !== $amount->from && $amount->first < $piece->first;
                if ($isIt && 2 <= \count($numbers) && \in_array($amount->from, $numbers, true)) {
                    $found[] = new Contradiction(
                        $amount->thing->id ?? $amount->named,
                        new Sentence('{thing}: "{words}". Which is meant?', [
                            'thing' => $amount->thing->name ?? $amount->named,
                            'words' => mb_substr(self::quote($text, $piece->first, $piece->next), 0, 80),
                        ]),
                        $piece->first,
                        $piece->next,
                        $amount,
                    );
                    break;
                }
            }
        }

        return $found;
    }

    /**
     * One says lid on, the other lid off.
     *
     * @param list<Fragment> $fragments
     *
     * @return list<Contradiction>
     */
    private static function lids(Text $text, array $fragments): array
    {
        $said = ['on' => null, 'off' => null];
        $others = [];
        foreach ($fragments as $piece) {
            $words = $text->words($piece->first, $piece->next);
            if (
                1 === preg_match(
                    '/\b(?:lid|cover) (?:must be |stays? |is )?(on|off)\b|\b(uncovered)\b|\bwithout (?:a |the )?(lid)\b/i',
                    $words,
                    $match,
                )
            ) {
                $how = 'on' === mb_strtolower($match[1]) ? 'on' : 'off';
                $said[$how] ??= $piece;
                $others[$how] = ($others[$how] ?? false) || FragmentKind::Aside === $piece->kind
                    || 1 === preg_match('/\bsays|says it must/i', $text->words(...$text->sentences[$piece->sentence]));
            }
        }
        if (null === $said['on'] || null === $said['off'] || !(($others['on'] ?? false) || ($others['off'] ?? false))) {
            return [];
        }
        $later = $said['on']->first > $said['off']->first ? $said['on'] : $said['off'];

        return [new Contradiction('lid', new Sentence('The lid is once on and once off: "{one}", "{two}". Which is meant?', [
            'one' => mb_substr(self::quote($text, $said['on']->first, $said['on']->next), 0, 60),
            'two' => mb_substr(self::quote($text, $said['off']->first, $said['off']->next), 0, 60),
        ]), $later->first, $later->next)];
    }

    /**
     * Boiled down by two thirds is not what is left when two thirds are left.
     *
     * @param list<ToldStep> $steps
     *
     * @return list<Contradiction>
     */
    private static function reductions(Text $text, array $steps): array
    {
        $found = [];
        foreach ($steps as $step) {
            if (Process::Reduce !== $step->process) {
                continue;
            }
            $words = self::quote($text, $step->first, $step->next);
            [$from, $to] = $text->sentences[$step->sentence];
            $share = self::share($words.' '.$text->words($from, $to));
            $milk = null;
            foreach ($step->amounts as $amount) {
                $milk = SpokenUnit::Litre === $amount->unit || SpokenUnit::Millilitre === $amount->unit ? $amount : $milk;
            }
            $left = self::left($text, $from, $to);
            $whole = null === $milk ? null : ($milk->from ?? 0.0) * (SpokenUnit::Litre === $milk->unit ? 1.0 : 0.001);
            if (null !== $share && null !== $left && null !== $whole && $whole > 0 && !self::agree($share, $left / $whole)) {
                $found[] = new Contradiction(
                    $milk->thing->id ?? $milk->named,
                    new Sentence('"{words}": what is told to boil off and what is told to be left do not agree. How much is left?', [
                        'words' => mb_substr(self::quote($text, $from, $to), 0, 120),
                    ]),
                    $step->first,
                    $step->next,
                );
            }
        }

        return $found;
    }

    /** @return float|null share of the volume that is left */
    public static function share(string $words): ?float
    {
        $parts = [
            'half' => 0.5, 'a third' => 1 / 3, 'one third' => 1 / 3, 'a quarter' => 0.25, 'two thirds' => 2 / 3,
            'three quarters' => 0.75,
        ];
        foreach ($parts as $part => $share) {
            if (1 === preg_match('/\bby (?:about )?'.$part.'\b/i', $words)) {
                return 1 - $share;
            }
            if (1 === preg_match('/\bto (?:about )?'.$part.'\b/i', $words)) {
                return $share;
            }
        }

        return null;
    }

    /** Litres that are told to be left. */
    private static function left(Text $text, int $from, int $to): ?float
    {
        for ($i = $from; $i < $to; ++$i) {
            $number = Numbers::at($text, $i);
            $unit = null === $number ? null : SpokenUnit::in($text, $number->next);
            if (null !== $number && null !== $unit && \in_array($unit[0], [SpokenUnit::Litre, SpokenUnit::Millilitre], true)) {
                if (1 === preg_match('/^.{0,20}\b(?:left|remain|remains|is there)\b/i', $text->words($unit[1], min($to, $unit[1] + 5)))) {
                    return $number->from * (SpokenUnit::Litre === $unit[0] ? 1.0 : 0.001);
                }
                $i = $unit[1] - 1;
            }
        }

        return null;
    }

    /**
     * "The dough needs its two hours of rest", after a rest of half an hour.
     *
     * @param list<ToldStep> $steps
     * @param list<Fragment> $fragments
     *
     * @return list<Contradiction>
     */
    private static function times(Text $text, array $steps, array $fragments): array
    {
        $found = [];
        foreach ($fragments as $piece) {
            $time = $piece->of(SpanKind::Time);
            if (null === $time || !\in_array($piece->kind, [FragmentKind::Bare, FragmentKind::Aside, FragmentKind::Done], true)) {
                continue;
            }
            $words = mb_strtolower($text->words($piece->first, $piece->next));
            foreach (self::REST as $word => $process) {
                if (1 !== preg_match('/\b(?:of|for its|its) .*\b'.$word.'\b|\b'.$word.' of\b/', $words)) {
                    continue;
                }
                foreach ($steps as $step) {
                    $minutes = $step->minutes;
                    if ($step->process === $process && null !== $minutes && $step->timeAt !== [$time->first, $time->next]
                        && !self::agree(($minutes[0] + $minutes[1]) / 2, (($time->from ?? 0.0) + ($time->to ?? 0.0)) / 2)) {
                        preg_match('/\bthe (\p{L}+)/u', $words, $match);
                        $found[] = new Contradiction(
                            $match[1] ?? $process->value,
                            new Sentence('"{words}", but {minutes} min were told before. Which is meant?', [
                                'words' => mb_substr($words, 0, 80),
                                'minutes' => round(($minutes[0] + $minutes[1]) / 2),
                            ]),
                            $piece->first,
                            $piece->next,
                        );
                        break 2;
                    }
                }
            }
        }

        return $found;
    }

    private static function agree(?float $one, ?float $two): bool
    {
        return null === $one || null === $two || $one <= 0 || $two <= 0 || max($one, $two) / min($one, $two) <= self::AGREE;
    }

    private static function quote(Text $text, int $from, int $to): string
    {
        return (string) preg_replace('/\s+/', ' ', $text->words($from, $to));
    }
}
