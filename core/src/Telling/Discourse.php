<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/**
 * Follows a telling from piece to piece: what goes into which pot, which pot "it" is, what was only named and goes in later, which time
 * and which sign belong to which step.
 */
final class Discourse
{
    /** @var list<ToldAmount> everything told */
    public array $amounts = [];

    public readonly Pots $pots;

    public readonly Signs $signs;

    private readonly Manner $manner;

    private readonly BareTold $bare;

    private readonly WorkTold $work;

    /** @param list<ToldAmount> $listed what a list says goes in */
    public function __construct(private readonly Purpose $purpose, array $listed = [])
    {
        $this->manner = new Manner();
        $this->pots = new Pots($this->manner);
        $this->signs = new Signs($this->pots, $this->manner);
        $adding = new Adding($this->pots, $this->manner);
        $meaning = new Meaning($this->pots);
        $times = new Times($this->pots, $meaning, $this->manner, $adding);
        $this->bare = new BareTold($this->pots, $this->manner, $times, $adding);
        $this->work = new WorkTold($purpose, $this->pots, $meaning, $this->manner, $times, $adding);
        $this->pots->counter->waiting = $listed;
    }

    /** @param list<Fragment> $pieces of the first sentence, which is only what it is called */
    public function title(array $pieces): void
    {
        foreach ($pieces as $piece) {
            $this->signs->setAside[] = [$piece, 'title'];
        }
    }

    /**
     * @param list<Fragment>   $pieces  of one sentence
     * @param list<ToldAmount> $amounts told in it
     */
    public function hear(Text $text, array $pieces, array $amounts): void
    {
        $this->manner->begin();
        $isApartBefore = false;
        // "A week outside, three in the fridge": how long it keeps is no work.
        if (isset($pieces[0]) && $this->isKeeping($text, $pieces[0])) {
            foreach ($pieces as $piece) {
                $this->signs->setAside[] = [$piece, 'keeping'];
            }

            return;
        }
        foreach ($amounts as $amount) {
            $this->pots->counter->heardIn[$amount->first] = $pieces[0]->sentence ?? 0;
        }
        foreach ($pieces as $k => $piece) {
            $own = array_values(
                array_filter($amounts, static fn (ToldAmount $a): bool => $a->first >= $piece->first && $a->first < $piece->next),
            );
            // "milk in another pot": the milk is what begins there.
            $isApartBehind = isset($pieces[$k + 1]) && $pieces[$k + 1]->has(SpanKind::Apart) && FragmentKind::Bare === $pieces[$k + 1]->kind
                && !$pieces[$k + 1]->has(SpanKind::Thing, SpanKind::Measure, SpanKind::Verb)
                && !$text->is($pieces[$k]->next, ',', ';', ':');
            // "jaggery is melted in water meanwhile, six minutes": said of what was just begun
            $isTrailing = $k > 0 && 1 === preg_match('/^\W*(?:meanwhile|in the meantime)\W*$/i', $text->words($piece->first, $piece->next))
                && FragmentKind::Work === $pieces[$k - 1]->kind
                && (!isset($pieces[$k + 1]) || FragmentKind::Work !== $pieces[$k + 1]->kind);
            if ($isTrailing) {
                continue;
            }
            if ($piece->has(SpanKind::Apart) && $isApartBefore) {
                $isApartBefore = false;
            } elseif ($piece->has(SpanKind::Apart) || $isApartBehind) {
                $this->pots->flush($piece->sentence, false);
                $this->pots->streams->beginsNext = true;
                $isApartBefore = $isApartBehind;
            }
            match (true) {
                $piece->kind->isSign() => $this->signs->sign($text, $piece),
                FragmentKind::Work === $piece->kind => $this->work->hear(
                    $text,
                    $piece,
                    $own,
                    $this->signs->signsBehind($text, $pieces, $k),
                    $this->signs->hasTimeBehind($pieces, $k),
                ),
                FragmentKind::Bare === $piece->kind => $this->bare->hear(
                    $text,
                    $piece,
                    $own,
                    $this->signs->signsBehind($text, $pieces, $k),
                    $this->signs->hasTimeBehind($pieces, $k),
                ),
                default => $this->signs->aside($text, $piece, $own),
            };
        }
        array_push($this->amounts, ...$amounts);
    }

    private function isKeeping(Text $text, Fragment $piece): bool
    {
        $words = $text->words($piece->first, $piece->next);

        return 1 === preg_match(
            '/^\W*(?:\p{L}+\W+){0,4}(?:days?|weeks?|months?|years?)\b/iu',
            $words,
        ) && [] === $this->purpose->verbs($text, $piece->spans, $piece->first)
            && $piece->has(SpanKind::Count) && [] !== $this->pots->steps
            || 1 === preg_match('/^\W*keep (?:it|them) (?:hot|warm|covered)/i', $words)
            || 1 === preg_match('/^\W*(?:(?:it|they|this) )?keeps? (?!it|them|stir|aside|warm|a side|the|on|in|mix|cook)/iu', $words)
            || 1 === preg_match('/^\W*(?:it|they|this) (?:keeps?|lasts?|stays? good)\b/iu', $words);
    }

    /** What is left when the telling ends. */
    public function end(): void
    {
        $this->pots->flush(\PHP_INT_MAX, false);
    }
}
