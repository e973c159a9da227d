<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\CueKind;
use FeastLadle\Recipe\Process;

/** Signs of the steps as they are told, and what is no step: warnings, memories, other ways. */
final class Signs
{
    /** @var list<array{Fragment, string}> what is no step, with why */
    public array $setAside = [];

    /** @var list<ToldAmount> */
    public array $alternatives = [];

    public function __construct(private readonly Pots $pots, private readonly Manner $manner)
    {
    }

    /**
     * Signs behind a piece, and how long and how it is done where that stands by itself.
     *
     * @param list<Fragment> $pieces
     */
    public function signsBehind(Text $text, array $pieces, int $k): string
    {
        $words = '';
        for ($n = $k + 1; $n < \count($pieces) && FragmentKind::Work !== $pieces[$n]->kind; ++$n) {
            $isManner = FragmentKind::Bare === $pieces[$n]->kind && !$pieces[$n]->has(SpanKind::Thing, SpanKind::Measure);
            if (FragmentKind::Done === $pieces[$n]->kind || $isManner) {
                $words .= ' '.$text->words($pieces[$n]->first, $pieces[$n]->next);
            }
        }

        return $words;
    }

    /**
     * "stir, it takes thirty minutes": a time that stands by itself right behind.
     *
     * @param list<Fragment> $pieces
     */
    public function hasTimeBehind(array $pieces, int $k): bool
    {
        for ($n = $k + 1; $n < \count($pieces) && FragmentKind::Bare === $pieces[$n]->kind; ++$n) {
            if ($pieces[$n]->has(SpanKind::Thing, SpanKind::Measure)) {
                return false;
            }
            if ($pieces[$n]->has(SpanKind::Time)) {
                return true;
            }
        }

        return false;
    }

    public function sign(Text $text, Fragment $piece): void
    {
        $opener = $piece->spans[0] ?? null;
        $first = null !== $opener && $opener->is(SpanKind::Until, SpanKind::Ready) && !$piece->isLead ? $opener->next : $piece->first;
        $kind = match ($piece->kind) {
            FragmentKind::Wrong => CueKind::Wrong,
            FragmentKind::OnTheWay => CueKind::OnTheWay,
            default => CueKind::Done,
        };
        // "When it boils": what was set on the fire has boiled.
        $boils = $piece->of(SpanKind::Verb);
        if (
            $piece->isLead
            && null !== $boils
            && $boils->isDone(Action::Boil)
            && VerbForm::Does === $boils->form
            && ($this->pots->streams->beginsNext || null === $this->pots->streams->current()->last)
            && [] !== $this->pots->counter->waiting
        ) {
            $liquid = array_values(
                array_filter(
                    $this->pots->counter->waiting,
                    static fn (ToldAmount $a): bool => \in_array($a->key(), ['water', 'milk', 'saffron'], true),
                ),
            );
            if ([] !== $liquid) {
                $this->pots->counter->waiting = array_values(
                    array_filter($this->pots->counter->waiting, static fn (ToldAmount $a): bool => !\in_array($a, $liquid, true)),
                );
                $this->pots->step($text, $piece, Process::Boil, $liquid, '');
            }
        }
        // A sign behind what was only added belongs to a step of its own.
        if (
            CueKind::Done === $kind
            && !$piece->isLead
            && [] !== $this->pots->counter->adding
            && $this->pots->counter->addedIn === $piece->sentence
        ) {
            $this->pots->flush($piece->sentence, false);
        }
        $this->stirredUntil($text, $piece, $kind);
        $last = $this->pots->lastStep();
        if (
            CueKind::Done === $kind
            && !$piece->isLead
            && [] !== $this->pots->counter->waiting
            && (null === $last || $this->pots->streams->beginsNext)
            && SpanKind::Until === $opener?->kind
        ) {
            $last = $this->pots->step($text, $piece, Process::MixIn, $this->pots->counter->waiting, '');
            $this->pots->counter->waiting = [];
        }
        if (null === $last) {
            $this->setAside[] = [$piece, 'before'];

            return;
        }
        $before = [] === $last->signs ? null : $last->signs[\count($last->signs) - 1];
        $words = trim($text->words($first, $piece->next));
        if (null !== $before && $before->kind === $kind && FragmentKind::Wrong === $piece->kind && $before->next >= $piece->first - 2) {
            // "if it runs" and "another spoon of flour" are one.
            array_pop($last->signs);
            $last->signs[] = new ToldSign($kind, $before->words, trim($before->rescue.' '.$words), $before->first, $piece->next);
        } elseif (null !== $before && $before->kind === $kind && $before->next >= $piece->first - 2 && null === $opener) {
            array_pop($last->signs);
            $last->signs[] = new ToldSign($kind, $before->words.', '.$words, $before->rescue, $before->first, $piece->next);
        } elseif ('' !== $words) {
            $last->signs[] = new ToldSign($kind, $words, '', $first, $piece->next);
        }
        if (CueKind::Done === $kind && $last->isStirred && Process::Simmer === $last->process && ProcessOf::isBall($words)) {
            $last->process = Process::StirToBall;
        }
        $this->manner->targets($piece, $last);
        $time = $piece->of(SpanKind::Time);
        if (null !== $time && CueKind::Done === $kind && null === $last->minutes && $last->sentence === $piece->sentence) {
            $this->manner->lasts($text, $last, $time);
        }
    }

    /** "Keep stirring. After ten minutes it pulls together": so long what was added cooks. */
    private function stirredUntil(Text $text, Fragment $piece, CueKind $kind): void
    {
        $time = $piece->of(SpanKind::Time);
        $stream = $this->pots->streams->current();
        if (
            null === $time
            || CueKind::Wrong === $kind
            || !$text->is($time->first - 1, 'after')
            || [] === $this->pots->counter->adding
            || !$stream->isHot
            || $stream->isOff
            || $piece->sentence - $this->pots->counter->addedIn > 2
        ) {
            return;
        }
        $words = $text->words($piece->first, $piece->next);
        $added = $this->pots->counter->added();
        $step = $this->pots->step($text, $piece, match (true) {
            [] !== array_intersect($added, ProcessOf::SWEET)
                && [] === array_diff($added, ProcessOf::SWEET, ProcessOf::SEASONING, ['ghee']) => Process::Syrup,
            ProcessOf::isBall($words) => Process::StirToBall,
            default => Process::Simmer,
        }, [], $words);
        $step->isStirred = true;
        $this->manner->lasts($text, $step, $time);
    }

    /** @param list<ToldAmount> $own */
    public function aside(Text $text, Fragment $piece, array $own): void
    {
        if (FragmentKind::Alternative === $piece->kind) {
            array_push($this->alternatives, ...$own);
            $this->setAside[] = [$piece, 'alternative'];

            return;
        }
        if (FragmentKind::Caution === $piece->kind) {
            $last = $this->pots->lastStep();
            if (null !== $last) {
                $last->cautions[] = $text->words($piece->first, $piece->next);
            }
            // "do not leave it" is how it is watched.
            if ($piece->has(SpanKind::Constant) && null !== $last && null === $last->attention) {
                $last->attention = AttentionKind::Constant;
            }
            $this->setAside[] = [$piece, 'caution'];

            return;
        }
        $this->setAside[] = [$piece, 'aside'];
    }
}
