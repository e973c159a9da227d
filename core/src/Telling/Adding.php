<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Recipe\Process;

/** Where something goes that is told without a process: on the list, into the pot, into the pan as its fat, or as a syrup of its own. */
final readonly class Adding
{
    public function __construct(private Pots $pots, private Manner $manner)
    {
    }

    /** @param list<ToldAmount> $own */
    public function poursInto(Stream $stream, array $own, string $words): void
    {
        $ids = array_map(
            static fn (ToldAmount $a): string => $a->key(),
            array_filter($own, static fn (ToldAmount $a): bool => !$a->isTold),
        );
        $isNamed = [] !== array_intersect($ids, array_diff($stream->holds, ['water', 'ghee', 'salt', 'cardamom']));
        foreach ($stream->names as $name) {
            $isNamed = $isNamed || 1 === preg_match('/\bthe (?:\p{L}+ )?'.preg_quote($name, '/').'\b/iu', $words);
        }
        $others = array_filter($this->pots->streams->open(), static fn (Stream $s): bool => $s->id !== $stream->id);
        // "pour this in", said of what was warmed beside
        $isNamed = $isNamed || ($stream->isHot
            && 1 === preg_match('/\b(?:pour|tip|add|stir) (?:this|that) (?:in|into|over|to)\b/i', $words));
        // "powder the sugar and mix it in"
        $last = null === $stream->last ? null : $this->pots->steps[$stream->last]->process;
        $isNamed = $isNamed || (\in_array($last, [Process::Grind, Process::Sieve, Process::Prepare, Process::Mash, Process::FryGarnish],
            true)
            && 1 === preg_match('/\b(?:mix|stir|fold|tip|put|throw|add) (?:it|them|this|that|these) in\b/i', $words)
            && $stream->id > 0)
            // "jaggery, melted and strained, goes in now"
            || (\in_array($last, [Process::Syrup, Process::Strain], true) && [] === $own
                && 1 === preg_match('/^\W*go(?:es)? in\b/i', $words));
        if (!$isNamed || [] === $others) {
            return;
        }
        usort($others, static fn (Stream $a, Stream $b): int => $b->last <=> $a->last);
        $this->pots->joining[] = $stream;
        $this->pots->streams->goOnWith($others[0]);
        if ([] === $this->pots->counter->adding) {
            // Nothing else has to be poured for it to be a step.
            $this->pots->isPoured = true;
        }
    }

    /**
     * "Tip the flour in": what was seen to beside it goes into the pot that the telling is about.
     *
     * @param list<ToldAmount> $own
     */
    public function takesIn(array $own, string $words): void
    {
        $ids = array_values(array_filter(array_map(static fn (ToldAmount $a): ?string => $a->isTold ? null : $a->thing?->id, $own)));
        // "pour the syrup over", "add the paste"
        $isThe = [] === $own && 1 === preg_match('/\b(?:pour|add|put|tip|fold|stir|mix) (?:in )?(?:all )?the \p{L}+/iu', $words);
        $named = [] === $ids && !$isThe ? [] : $this->pots->streams->named($isThe ? $words : '', $ids, false);
        if ([] !== $named && [] === $this->pots->joining) {
            array_push($this->pots->joining, ...$named);
            $this->pots->isPoured = $this->pots->isPoured || [] === $this->pots->counter->adding;
        }
    }

    /** "A spoon of yeast into the batter": the telling goes on with that. */
    public function goesOnWith(string $words, int $sentence): void
    {
        if (1 !== preg_match('/\b(?:in|into|to) the (\p{L}+)\W*$/iu', $words, $match)) {
            return;
        }
        foreach ($this->pots->streams->open() as $stream) {
            $isNamed = \in_array(mb_strtolower($match[1]), $stream->names, true);
            if ($isNamed && $stream->id !== $this->pots->streams->current()->id) {
                $this->pots->flush($sentence, false);
                $this->pots->streams->goOnWith($stream);

                return;
            }
        }
    }

    /** @param list<ToldAmount> $own */
    public function add(Text $text, Fragment $piece, array $own): void
    {
        if ([] === $own) {
            return;
        }
        $last = $this->pots->lastStep();
        $stream = $this->pots->streams->current();
        // "boil the syrup, a cup and a half of sugar and one of water"
        $isOfSyrup = null !== $last && Process::Syrup === $last->process && $last->sentence === $piece->sentence
            && FragmentKind::Bare === $piece->kind
            && [] === array_filter($own, static fn (ToldAmount $a): bool => !\in_array(
                $a->key(),
                [...ProcessOf::SWEET, ...ProcessOf::SEASONING],
                true,
            ));
        if (null !== $last && $isOfSyrup && $last->stream === $stream->id) {
            array_push($last->amounts, ...$this->pots->counter->known($own));
            array_push($stream->holds, ...array_map(static fn (ToldAmount $a): string => $a->key(), $own));

            return;
        }
        // "dry bread drinks less fat": only spoken of, and in the pot already
        if (
            FragmentKind::Bare === $piece->kind
            && [] === array_filter($own, static fn (ToldAmount $a): bool => $a->isTold || !\in_array($a->key(), $stream->holds, true))
            && 1 !== preg_match('/\b(?:in|on|over|into|back)\b/i', $text->words($piece->first, $piece->next))
        ) {
            return;
        }
        // What is told by itself beside something that soaks is a list for later.
        if (
            FragmentKind::Bare === $piece->kind
            && null !== $stream->last
            && \in_array(
                $this->pots->steps[$stream->last]->process,
                [Process::Rinse, Process::Soak, Process::Drain, Process::Sieve, Process::Prepare],
                true,
            )
            && [] === array_filter($own, static fn (ToldAmount $a): bool => !$a->isTold)
            && 1 !== preg_match('/\b(?:then|now|next|in|into|over|with|and)\b/i', $text->words($piece->first, $piece->next))
        ) {
            $this->pots->counter->list($own);

            return;
        }
        // "roll it out, with rice flour for dusting", "on the griddle, ghee as you like"
        if (
            null !== $last
            && $last->sentence === $piece->sentence
            && FragmentKind::Bare === $piece->kind
            && [] === $this->pots->counter->adding
            && (
                $text->is($piece->first, 'with', 'in', 'using')
                || [] === array_filter($own, static fn (ToldAmount $a): bool => !ProcessOf::isFat($a->thing->id ?? ''))
            )
        ) {
            array_push($last->amounts, ...$this->pots->counter->known($own));

            return;
        }
        if (1 === preg_match('/\b(?:everything|all of it|all together)\b/i', $text->words($piece->first, $piece->next))) {
            $current = $this->pots->streams->current()->id;
            array_push(
                $this->pots->joining,
                ...array_filter($this->pots->streams->open(), static fn (Stream $s): bool => $s->id !== $current),
            );
        }
        $ids = array_map(static fn (ToldAmount $a): string => $a->key(), $own);
        // "Add the flour" says where it goes; a flour that is only told waits.
        $isOrdered = FragmentKind::Work === $piece->kind && [] === array_filter($own, static fn (ToldAmount $a): bool => $a->isTold)
            && [] !== array_filter($piece->spans, static fn (Span $s): bool => $s->isDone(Action::Add));
        // "Next the jaggery with two spoons of water": a syrup begins.
        if ([] !== array_intersect($ids, ProcessOf::SWEET) && \in_array('water', $ids, true) && 2 === \count($ids)) {
            $this->pots->flush($piece->sentence, false);
            $this->pots->streams->beginsNext = true;
            $this->pots->step($text, $piece, Process::Syrup, $own, '');

            return;
        }
        $fats = array_filter($own, static fn (ToldAmount $a): bool => null !== $a->thing && ProcessOf::isFat($a->thing->id));
        // "Sesame oil, enough to float them"
        $isOil = static fn (ToldAmount $a): bool => !$a->isTold || '' !== $a->vague && null === $a->from;
        if (
            \count($fats) === \count($own) && FragmentKind::Bare === $piece->kind
            && [] === array_filter($own, static fn (ToldAmount $a): bool => !str_ends_with($a->key(), '-oil') || !$isOil($a))
        ) {
            $this->pots->counter->heatFat($own, true);

            return;
        }
        // "Oil in the pan, two fingers", "in a heavy pan, a spoon of ghee"
        $isPrelude = \count($fats) === \count($own)
            && ($piece->has(SpanKind::Length, SpanKind::Vessel) || (null !== $this->manner->vessel && FragmentKind::Bare === $piece->kind
                && [] === $this->pots->counter->adding && !$stream->isHot));
        if ($isPrelude) {
            $this->pots->counter->heatFat($own, $piece->has(SpanKind::Length));

            return;
        }
        // "Put coconut, sugar and milk into a pan": the others with it.
        $isOrdered = $isOrdered || (
            FragmentKind::Bare === $piece->kind
            && $this->pots->counter->addedByVerb
            && $this->pots->counter->addedIn === $piece->sentence
            && [] !== $this->pots->counter->adding
            && [] === array_filter($own, static fn (ToldAmount $a): bool => $a->isTold)
        );
        // Told before anything was done: a list. Later: it goes into the pot.
        if ($isOrdered && null === $this->pots->streams->current()->last && !$this->pots->streams->beginsNext) {
            $this->pots->counter->addedByVerb = true;
            array_push($this->pots->counter->adding, ...$this->pots->counter->known($own));
            [$this->pots->counter->addedIn, $this->pots->counter->addedAt] = [$piece->sentence, [$piece->first, $piece->next]];

            return;
        }
        $isBegun = \count($this->pots->steps) > $this->pots->section && null !== $this->pots->streams->current()->last;
        if (!$isBegun || $this->pots->streams->beginsNext) {
            $this->pots->counter->list($own);

            return;
        }
        $own = $this->pots->counter->known($this->pots->counter->toldLater($own, $this->pots->lastStep()));
        if ([] === $own) {
            return;
        }
        if ([] === $this->pots->counter->adding) {
            $this->pots->counter->addedAt = [$piece->first, $piece->next];
        }
        $this->pots->counter->addedByVerb = ($this->pots->counter->addedByVerb && [] !== $this->pots->counter->adding)
            || FragmentKind::Work === $piece->kind;
        array_push($this->pots->counter->adding, ...$own);
        $this->pots->counter->addedIn = $piece->sentence;
        $this->pots->counter->addedAt = [
            min($this->pots->counter->addedAt[0], $piece->first),
            max($this->pots->counter->addedAt[1], $piece->next),
        ];
    }

    /**
     * "... and milk to a batter that just pours": all that was told becomes one.
     *
     * @param list<ToldAmount> $own
     */
    public function bind(Text $text, Fragment $piece, array $own, string $words): bool
    {
        if (
            1 !== preg_match('/\b(?:for|into|to) a (?:\p{L}+ )?(dough|batter)\b/iu', $words, $made)
            || [] === $this->pots->counter->waiting
        ) {
            return false;
        }
        $this->pots->counter->list([...$this->pots->counter->adding, ...$this->pots->counter->known($own)]);
        $all = $this->pots->counter->waiting;
        [$this->pots->counter->waiting, $this->pots->counter->adding] = [[], []];
        $process = 'dough' === mb_strtolower($made[1]) ? Process::Knead : Process::MixIn;
        $this->pots->step($text, $piece, $process, $all, '');

        return true;
    }

    /** "straight into the syrup", "each slice through the syrup": said of what was fried. */
    public function goesIntoSyrup(string $words): bool
    {
        if (1 !== preg_match('/\b(?:into|in|through) (?:the )?(?:\p{L}+ )?syrup\b/iu', $words)) {
            return false;
        }
        $fried = [Process::DeepFry, Process::Drain, Process::Griddle, Process::Roast];
        $last = $this->pots->streams->current()->last;
        if (null !== $last && \in_array($this->pots->steps[$last]->process, $fried, true)) {
            return true;
        }
        foreach ($this->pots->streams->open() as $other) {
            if (
                null !== $other->last
                && \in_array($this->pots->steps[$other->last]->process, $fried, true)
                && $other->id !== $this->pots->streams->current()->id
            ) {
                $this->pots->joining[] = $other;

                return true;
            }
        }

        return false;
    }
}
