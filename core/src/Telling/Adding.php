<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Recipe\Process;

/** Where something goes that is told without a process: on the list, into the pot, into the pan as its fat, or as a syrup of its own. */
final readonly class Adding
{
    public function __construct(private Pots $pots)
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

    /** @param list<ToldAmount> $own */
    public function add(Text $text, Fragment $piece, array $own): void
    {
        if ([] === $own) {
            return;
        }
        $last = $this->pots->lastStep();
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
        $isPrelude = \count($fats) === \count($own) && $piece->has(SpanKind::Length, SpanKind::Vessel);
        if ($isPrelude) {
            $this->pots->counter->heatFat($own, $piece->has(SpanKind::Length));

            return;
        }
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
}
