<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Larder\Larder;

/** Reads a telling: sentence by sentence into pieces, amounts, and from them what is done. */
final readonly class Telling
{
    private Spans $spans;

    private Purpose $purpose;

    private Fragments $fragments;

    private Amounts $amounts;

    private References $references;

    private Relations $relations;

    public function __construct(Larder $larder, Lexicon $lexicon, float $cupMl)
    {
        $things = new Things($larder, $lexicon);
        $this->spans = new Spans($lexicon, $things);
        $this->purpose = new Purpose($lexicon);
        $this->fragments = new Fragments($this->spans, $this->purpose);
        $this->references = new References($lexicon, $things);
        $this->relations = new Relations(new Weighing($cupMl));
        $this->amounts = new Amounts($lexicon, $things, new Weighing($cupMl));
    }

    /**
     * "Vermicelli in milk." before anything else: what it is called, not what goes in.
     *
     * @param list<Fragment> $pieces
     */
    private function isTitle(Text $text, int $sentence, array $pieces): bool
    {
        if ($sentence > 0) {
            return false;
        }
        foreach ($pieces as $piece) {
            if ($this->isMeasured($piece) || $piece->isLabel || $piece->kind->isSign()) {
                return false;
            }
            foreach ($this->purpose->verbs($text, $piece->spans, $piece->first) as $verb) {
                // "Griddle cakes of rice" begins with no order.
                if ($verb->isDone(Action::Weigh, Action::Serve)) {
                    continue;
                }
                if (VerbForm::Done === $verb->form && !$piece->has(SpanKind::Number)) {
                    continue;
                }
                // "are the first thing I cook"
                if ($text->is($verb->first - 1, 'i', 'we', 'they', 'everybody', 'people') && !$piece->has(SpanKind::Number)) {
                    continue;
                }
                if (VerbForm::Plain !== $verb->form || $verb->first !== $text->sentences[0][0] || $text->is(
                    $verb->next, 'the', 'it', 'them', 'some', 'a',
                )
                    || $piece->has(SpanKind::Number)) {
                    return false;
                }
            }
        }

        return $text->sentences[0][1] - $text->sentences[0][0] <= 18;
    }

    private function isMeasured(Fragment $piece): bool
    {
        foreach ($piece->spans as $span) {
            // "Almond drink, eighty glasses"
            $isServed = $span->is(SpanKind::Measure) && SpokenUnit::Glass === $span->unit && $span->from >= 10.0;
            if ($span->is(SpanKind::Time) || ($span->is(SpanKind::Measure) && !$span->isBare && !$isServed)) {
                return true;
            }
        }

        return false;
    }

    /** @param list<ToldAmount> $listed what a list says goes in */
    public function hear(string $told, array $listed = []): Heard
    {
        $text = Text::of($told);
        $discourse = new Discourse($this->purpose, $listed);
        $claims = [];
        $all = [];
        foreach (array_keys($text->sentences) as $sentence) {
            $pieces = $this->fragments->of($text, $sentence);
            $counting = [];
            foreach ($pieces as $piece) {
                if ($piece->kind->counts()) {
                    array_push($counting, ...$piece->spans);
                }
            }
            if ($this->isTitle($text, $sentence, $pieces)) {
                $discourse->title($pieces);
                array_push($claims, ...$this->claims($text->words($text->sentences[$sentence][0], $text->sentences[$sentence][1] + 1)));
                array_push($all, ...$pieces);
                continue;
            }
            $amounts = $this->references->with(
                $text,
                $counting,
                $pieces,
                $this->amounts->of($text, $counting, $discourse->amounts),
                [...$listed, ...$discourse->amounts],
            );
            $amounts = $this->relations->among($text, $sentence, $amounts, $discourse->amounts);
            $discourse->hear($text, $pieces, $amounts);
            array_push($claims, ...$this->claims($text->words($text->sentences[$sentence][0], $text->sentences[$sentence][1] + 1)));
            array_push($all, ...$pieces);
        }
        $discourse->end();

        return new Heard(
            $text,
            $all,
            $discourse->pots->steps,
            $discourse->amounts,
            $discourse->pots->counter->waiting,
            $discourse->signs->alternatives,
            $discourse->signs->setAside,
            Contradictions::of($text, [...$listed, ...$discourse->amounts], $discourse->pots->steps, $all),
            Frame::of($text),
            $claims,
        );
    }

    /** @return list<string> what it is said to do for the body, which nobody here can vouch for */
    public function claims(string $words): array
    {
        return '' === $words ? [] : HealthClaims::setAside(trim((string) preg_replace('/\s+/', ' ', $words)))['claims'];
    }

    public function withoutClaims(string $words): string
    {
        return HealthClaims::setAside($words)['stays'];
    }

    /** Whether something is done in a line. */
    public function tellsWork(string $line): bool
    {
        $text = Text::of(mb_substr($line, 0, 300));
        foreach (array_keys($text->sentences) as $sentence) {
            foreach ($this->fragments->of($text, $sentence) as $piece) {
                if (FragmentKind::Work === $piece->kind) {
                    return true;
                }
            }
        }

        return false;
    }
}
