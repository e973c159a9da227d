<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Heat\Flame;
use FeastLadle\Recipe\Process;
use FeastLadle\Vessel\VesselKind;

/** Times, reductions and headings that stand by themselves: of which step they are, or which they begin. */
final readonly class Times
{
    public function __construct(private Pots $pots, private Meaning $meaning, private Manner $manner, private Adding $adding)
    {
    }

    /**
     * A time by itself: of what was just added, of the step before it, or of the same again.
     *
     * @param list<ToldAmount> $own
     */
    public function bareTime(Text $text, Fragment $piece, Span $time, array $own, string $words): void
    {
        // "fried in ghee, cashews first, three minutes": of the pan that is told of
        $pan = $this->pots->lastStep();
        if (
            null !== $pan && Process::FryGarnish === $pan->process && null === $pan->minutes && $pan->sentence === $piece->sentence
            && $time->to <= 10.0
        ) {
            array_push($pan->amounts, ...$this->pots->counter->known([...$this->pots->counter->adding, ...$own]));
            $this->pots->counter->adding = [];
            $this->manner->lasts($text, $pan, $time);

            return;
        }
        $this->adding->add($text, $piece, $own);
        $last = $this->pots->lastStep();
        if (
            [] !== $this->pots->counter->adding
            && $piece->sentence - $this->pots->counter->addedIn <= 1
            && null !== $last
            && $this->pots->streams->current()->isOff
        ) {
            $this->pots->flush($piece->sentence, false);
            $this->manner->lasts($text, $this->pots->steps[\count($this->pots->steps) - 1], $time);

            return;
        }
        // "Sugar: 800 g with 350 ml of water, six minutes, until it strings"
        if ($this->pots->counter->addsSyrup() && 1 === preg_match('/\b(?:strings?|threads?|syrup|sticky|tacky|brittle)\b/i', $words)) {
            $this->manner->lasts($text, $this->pots->step(
                $text,
                $piece,
                Process::Syrup,
                $this->pots->counter->takeSweet($this->pots->streams),
                $words,
            ), $time);

            return;
        }
        // "half a kilo of jaggery into the pan, low flame; it melts, it foams. Nine minutes"
        if (
            $this->pots->counter->addsSweetAlone() && null !== $last && $last->sentence < $this->pots->counter->addedIn
            && [] === array_intersect($this->pots->streams->current()->holds, ['water', 'milk'])
            && \in_array($last->process, [
                Process::Set, Process::Cool, Process::Prepare, Process::Grind, Process::Parch, Process::Drain,
            ], true)
        ) {
            $sweet = $this->pots->counter->adding;
            $this->pots->counter->adding = [];
            $this->pots->streams->beginsNext = true;
            $this->manner->lasts($text, $this->pots->step($text, $piece, Process::Syrup, $sweet, $words), $time);

            return;
        }
        // "ghee round it, lid on, three minutes": of the pan it is in
        if (
            null !== $last
            && null === $last->minutes
            && \in_array($last->process, [Process::Griddle, Process::Steam, Process::DeepFry, Process::Pressure], true)
            && $this->pots->counter->addsOnlyFat()
        ) {
            array_push($last->amounts, ...$this->pots->counter->adding);
            $this->pots->counter->adding = [];
            $this->manner->lasts($text, $last, $time);
            $this->manner->mannerTo($last);

            return;
        }
        if (
            ([] !== $this->pots->counter->adding || $this->pots->isMixed)
            && $piece->sentence - $this->pots->counter->addedIn <= 1
            && null !== $last
            && $this->pots->streams->current()->isHot
        ) {
            $step = $this->pots->step($text, $piece, $this->meaning->goesOn($words), [], $words);
            $step->isStirred = true;
            $this->manner->lasts($text, $step, $time);
            $this->manner->mannerTo($step);

            return;
        }
        if (null === $last) {
            $this->manner->saysTime($time);

            return;
        }
        // "cover it with a damp cloth, thirty minutes"
        if (!$this->pots->streams->current()->isHot && null === $last->minutes && 1 === preg_match(
            '/^\W*(?:and |then )*cover\b/i',
            $text->words($text->sentences[$piece->sentence][0], $time->first),
        ) && !\in_array($last->process, [Process::Rest, Process::Soak, Process::Set, Process::Chill], true)) {
            $this->manner->lasts($text, $this->pots->step($text, $piece, Process::Rest, [], ''), $time);

            return;
        }
        $isTurned = null !== $last->timeAt && $last->sentence === $piece->sentence
            && \in_array($last->process, [Process::Griddle, Process::DeepFry], true)
            && 1 === preg_match('/\bturn/i', $text->words($last->timeAt[1], $time->first));
        // "two minutes, turn it over, one minute and a half"
        if ($isTurned && null !== $last->minutes) {
            $last->minutes = [$last->minutes[0] + ($time->from ?? 0.0), $last->minutes[1] + ($time->to ?? $time->from ?? 0.0)];

            return;
        }
        // "ghee on the griddle, a ladle of batter; two minutes"
        if (Process::Griddle !== $last->process && $piece->sentence - $this->manner->griddleIn <= 1 && ($time->to ?? 0.0) <= 15.0) {
            $this->manner->lasts($text, $this->pots->step($text, $piece, Process::Griddle, [], $words), $time);

            return;
        }
        $cold = [Process::Grind, Process::Drain, Process::Strain, Process::Prepare, Process::Mash, Process::Sieve];
        // "the paste goes in, low flame, thirty-five minutes": it is on the fire now.
        $here = $this->pots->streams->current();
        $isCold = null === $here->last || \in_array($this->pots->steps[$here->last]->process, $cold, true);
        if (null !== $this->manner->flame && Flame::None !== $this->manner->flame && $isCold && !$here->isHot
            && $last->sentence < $piece->sentence) {
            $fats = array_filter(
                [...$this->pots->counter->adding, ...$this->pots->counter->waiting, ...$this->pots->counter->fat],
                static fn (ToldAmount $a): bool => ProcessOf::isFat($a->thing->id ?? ''),
            );
            $this->pots->counter->heatFat(array_values(array_filter(
                $this->pots->counter->waiting,
                static fn (ToldAmount $a): bool => ProcessOf::isFat($a->thing->id ?? ''),
            )), false);
            $this->pots->counter->waiting = array_values(array_filter(
                $this->pots->counter->waiting,
                static fn (ToldAmount $a): bool => !ProcessOf::isFat($a->thing->id ?? ''),
            ));
            $this->manner->lasts($text, $this->pots->step($text, $piece, [] === $fats ? Process::Simmer
                : Process::Roast, [], $words), $time);

            return;
        }
        // "water in the steamer, bring it to the boil, in with the tin, thirty minutes"
        $isSteaming = \in_array(VesselKind::Steamer, [$last->vessel, $this->manner->vessel], true);
        if (Process::Boil === $last->process && $isSteaming && [] === array_diff($this->pots->streams->current()->holds, ['water'])
            || Process::Boil === $last->process && $isSteaming && $last->holds('water')) {
            $this->manner->lasts($text, $this->pots->step($text, $piece, Process::Steam, [], $words), $time);

            return;
        }
        // "in all an hour and forty minutes"
        if ($text->is($time->first - 1, 'all', 'altogether', 'total') && null !== $last->minutes) {
            [$last->minutes, $last->timeAt] = [null, null];
        }
        // "they set in forty minutes"
        if (1 === preg_match('/\b(?:it|they) sets?\b/i', $words) && \in_array($last->process, [Process::Portion, Process::Garnish], true)) {
            $this->manner->lasts($text, $this->pots->step($text, $piece, Process::Set, [], $words), $time);

            return;
        }
        // "overnight, ten to twelve hours"
        if (null !== $last->timeAt && $last->sentence === $piece->sentence && $text->is($last->timeAt[0], 'overnight')) {
            [$last->minutes, $last->timeAt] = [null, null];
        }
        if (null === $last->minutes) {
            $this->manner->lasts($text, $last, $time);
            $this->manner->mannerTo($last);
            $this->cooksOn($last, $words);

            return;
        }
        $isMore = null !== $this->manner->flame || null !== $this->manner->attention || null !== $this->manner->vessel;
        if (
            ($isMore && $last->sentence !== $piece->sentence && $this->pots->streams->current()->isHot)
            || 1 === preg_match('/\b(?:more|another|further|again)\b/i', $text->words(max(0, $piece->first), $piece->next))
        ) {
            $step = $this->pots->step(
                $text,
                $piece,
                $this->pots->streams->current()->isHot ? $this->meaning->goesOn($words) : $last->process,
                [],
                $words,
            );
            $step->isStirred = true;
            $this->manner->lasts($text, $step, $time);
            $this->manner->mannerTo($step);
        }
        $this->manner->mannerTo($last);
    }

    /** What was mixed into a pot on the fire and then takes its time cooks there. */
    private function cooksOn(ToldStep $step, string $words): void
    {
        $stream = $this->pots->streams->current();
        if (Process::MixIn === $step->process && $step->stream === $stream->id && $stream->isHot && !$stream->isOff) {
            $step->process = $this->meaning->goesOn($words);
            $step->isStirred = true;
        }
    }

    /** "After it has come to half", "until a third is left": it was boiled down. */
    public function reduces(Text $text, Fragment $piece, string $words): bool
    {
        if (
            1 !== preg_match(
                '/\b(?:comes?|came|come down|goes|gone|boils?|boiled|cooks?|cooked|down) (?:down )?(?:to|by) (?:about )?(?:a |one |two )?'
                    .'(?:half|thirds?|quarter)\b/i',
                $words,
            )
        ) {
            return false;
        }
        $stream = $this->pots->streams->current();
        $last = null === $stream->last ? null : $this->pots->steps[$stream->last];
        if (null !== $last && \in_array($last->process, [Process::Simmer, Process::Boil], true) && null === $last->minutes) {
            $last->process = Process::Reduce;
            $last->covers($piece->first, $piece->next);

            return true;
        }
        if (null !== $last && Process::Reduce === $last->process) {
            return true;
        }
        $own = null === $stream->last ? [...$this->pots->counter->adding, ...$this->pots->counter->waiting] : [];
        if (null === $stream->last) {
            [$this->pots->counter->adding, $this->pots->counter->waiting] = [[], []];
        }
        $this->pots->step($text, $piece, Process::Reduce, $own, '');

        return true;
    }

    /** A heading: what follows is a part of its own. */
    public function label(Fragment $piece, string $words): void
    {
        $this->pots->flush($piece->sentence, false);
        $this->pots->section = \count($this->pots->steps);
        $this->pots->streams->beginsNext = true;
        $this->pots->streams->label = array_values(array_filter(
            preg_split('/[^\p{L}]+/u', mb_strtolower($words)) ?: [],
            static fn (string $w): bool => mb_strlen($w) > 3 && !\in_array($w, ['the', 'next', 'first', 'then', 'with', 'for'], true),
        ));
    }
}
