<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Recipe\Process;
use FeastLadle\Vessel\VesselKind;

/** A piece without a verb: things, times and places by themselves, and what they do to the pots all the same. */
final readonly class BareTold
{
    /** "The filling is", "for the dough", at the beginning of what is said of it. */
    private const PART = '/^\W*(?:and |now |then |so )?(?:the |for the |in the )?(?:filling|stuffing|dough|syrup|batter|coating|topping'
        .'|base) (?:is|are|first|you|we)\b|^\W*for the (?:filling|stuffing|dough|syrup|batter|coating|topping|base)\b/i';

    public function __construct(
        private Pots $pots,
        private Manner $manner,
        private Times $times,
        private Adding $adding,
    ) {
    }

    /**
     * @param list<ToldAmount> $own
     * @param string           $signs   words of the signs behind it
     * @param bool             $isTimed whether a time stands by itself behind it
     */
    public function hear(Text $text, Fragment $piece, array $own, string $signs, bool $isTimed): void
    {
        $words = $text->words($piece->first, $piece->next);
        $isPart = 1 === preg_match(
            '/\b(?:filling|stuffing|dough|syrup|batter|coating|topping|base|nuts|sauce|garnish|shells?|crust|drops|coils|rings|pulp'
                .'|fruit|milk|flour|spices)\b/i',
            $words,
        );
        $isLabel = $isPart || $piece->has(SpanKind::Thing) || [] !== $own;
        // "The filling is one coconut", "Dough first"
        $isNamed = 1 === preg_match(self::PART, $words) && null === $this->pots->lastNamed($words);
        if ($isNamed) {
            $this->times->label($piece, (string) preg_replace('/ (?:is|are|first|you|we)\b.*$/i', '', $words));
        }
        // "Mango: a tin of pulp" is one line of a list, "Syrup: sugar and water" a part.
        $isLine = [] !== array_filter($own, static fn (ToldAmount $a): bool => $a->isTold) && !$isPart;
        if ($piece->isLabel && $isLabel && !$isLine && !$piece->has(SpanKind::Measure, SpanKind::Time)) {
            $this->times->label($piece, $words);
            if ([] === $own || ([] === array_filter($own, static fn (ToldAmount $a): bool => $a->isTold)
                && 1 === preg_match('/\bfirst\b/i', $words))) {
                return;
            }
        }
        $this->manner->manner($text, $piece);
        $this->pots->streams->current()->isOff = (
            $this->pots->streams->current()->isOff
            && !$piece->has(SpanKind::Fire)
        ) || $piece->has(SpanKind::FlameOff);
        if ($this->times->reduces($text, $piece, $words)) {
            $time = $this->manner->timeOf($text, $piece, $this->pots->lastStep());
            if (null !== $time) {
                $this->manner->lasts($text, $this->pots->steps[\count($this->pots->steps) - 1], $time);
            }

            return;
        }
        $lastHere = $this->pots->lastStep()?->process;
        if (
            [] === $own && \in_array($lastHere, [Process::DeepFry, Process::ShallowFry, Process::FryGarnish], true)
            && 1 === preg_match('/^\W*(?:then |and )?(?:out|off|up) (?:on|onto|on to) (?:a |the |some |kitchen )*(?:cloth|paper|rack'
                .'|sieve|newspaper|towel)\b/i', $words)
        ) {
            $this->pots->step($text, $piece, Process::Drain, [], $words);

            return;
        }
        // "through the mincer"
        if (1 === preg_match('/^\W*(?:then |and )?(?:all )?(?:put |goes |go )?through (?:the|a) (?:mincer|grinder|mill)\b/i', $words)) {
            $here = $this->pots->counter->takeHere($piece->sentence, 9, $piece->first);
            $this->pots->step($text, $piece, Process::Grind, [...$here, ...$own], '');

            return;
        }
        // "Two coconuts, freshly grated", "carrots, 2 kg, scrubbed and grated": work, where nothing stands on the fire yet
        if ([] === $own && !$this->pots->streams->current()->isHot && 1 === preg_match('/^\W*(?:freshly |finely |coarsely )?(?:peeled'
            .'|scrubbed|washed|scraped|stoned|shelled)?(?:,? ?(?:and )?)(?:freshly |finely |coarsely )?grated\W*$/i', $words)) {
            $here = $this->pots->counter->namedLast($piece->sentence);
            if ([] !== $here) {
                $this->pots->step($text, $piece, Process::Prepare, $here, '');

                return;
            }
        }
        // "Then the rice, coarser, fifteen minutes": the same again
        if (
            $isTimed && [] !== $own && 1 === preg_match('/^\W*(?:then|now|next|and) the \p{L}+\W*$/iu', $words)
            && \in_array($lastHere, [Process::Grind, Process::Parch, Process::Roast, Process::Soak, Process::DeepFry], true)
            && [] === array_filter($own, static fn (ToldAmount $a): bool => $a->isTold)
        ) {
            $this->pots->streams->beginsNext = true;
            $this->pots->step($text, $piece, $lastHere, $own, '');

            return;
        }
        if ([] === $own && 1 === preg_match('/^\W*(?:all of it|everything|all this|the nuts|all) (?:on|over) (?:the )?top\W*$/i', $words)) {
            $this->pots->step($text, $piece, Process::Garnish, [], $words);
        } elseif ([] === $own && 1 === preg_match('/^\W*(?:on|over) (?:the )?top\W*$/i', $words) && $this->pots->goesOnTop($piece)) {
            $this->pots->step($text, $piece, Process::Garnish, [], $words);
        } elseif (1 === preg_match('/\b(?:fridge|refrigerator)\b/i', $words)) {
            $this->fridge($text, $piece, $words);
        } elseif ($this->isSyrupOf($words) && [] !== $own) {
            $this->times->label($piece, 'syrup');
            $this->pots->step($text, $piece, Process::Syrup, $own, '');

            return;
        } elseif ($this->adding->goesIntoSyrup($words)) {
            $this->pots->step($text, $piece, Process::Dunk, $own, $words);
            $own = [];
        } elseif (1 === preg_match('/\b(?:on top|over it|over them|on it|on them|on each|over the top)\b/i', $words) && [] !== $own) {
            $this->pots->flush($piece->sentence, false);
            $this->pots->step($text, $piece, Process::Garnish, $own, $words);
            $own = [];
        } elseif (
            null !== $piece->of(SpanKind::Vessel)
            && VesselKind::Tray === $piece->of(SpanKind::Vessel)->vessel
            && 1 === preg_match('/\b(?:onto|into|on to)\b/i', $words)
        ) {
            $this->pots->step($text, $piece, Process::Set, [], $words);
        }
        $own = $this->adding->bind($text, $piece, $own, $words) ? [] : $own;
        if ($piece->has(SpanKind::Stage) && !$this->pots->isSyrupNow()) {
            $this->adding->add($text, $piece, $own);
            $own = [];
            $this->pots->step($text, $piece, Process::Syrup, $this->pots->counter->takeSweet($this->pots->streams), $words);
        }
        // "Twenty-four balls, flat ones", said of a dough
        $here = $this->pots->streams->current()->last;
        if (
            [] === $own && null !== $here && \in_array($this->pots->steps[$here]->process, [Process::Knead, Process::Rest], true)
            && 1 === preg_match('/^\W*(?:about |some )?[\p{L}\d-]+ (?:\p{L}+ )?(?:balls|rings|discs|cakes|logs|dumplings)\b/iu', $words)
            && $piece->has(SpanKind::Number, SpanKind::Count)
        ) {
            $this->pots->step($text, $piece, Process::Shape, [], $words);

            return;
        }
        // "three minutes, turn, two more"
        $more = $piece->of(SpanKind::Number);
        $before = $this->pots->lastStep();
        $isMore = null !== $more && $text->is($more->next, 'more') && $more->next + 1 >= $piece->next;
        // "three minutes on one side, two on the other"
        $isOther = null !== $more
            && 1 === preg_match('/^(?:minutes? )?on the (?:other|second)\b/i', $text->words($more->next, $piece->next));
        if (null !== $more && ($isMore || $isOther) && null !== $before?->minutes && $before->sentence === $piece->sentence) {
            $before->minutes = [$before->minutes[0] + ($more->from ?? 0.0), $before->minutes[1] + ($more->to ?? $more->from ?? 0.0)];

            return;
        }
        $time = $this->manner->timeOf($text, $piece, $this->pots->lastStep());
        // "they go in the steamer for twelve minutes"
        $vessel = $piece->of(SpanKind::Vessel)?->vessel;
        $cooks = match ($vessel) {
            VesselKind::Steamer => Process::Steam,
            VesselKind::Griddle => Process::Griddle,
            default => null,
        };
        if ((null !== $time || $isTimed) && null !== $cooks && 1 === preg_match('/\b(?:in|into|on|onto|to)\b/i', $words)) {
            $step = $this->pots->step($text, $piece, $cooks, $own, $words);
            if (null !== $time) {
                $this->manner->lasts($text, $step, $time);
            }

            return;
        }
        // "they take twelve minutes in oil that is barely hot"
        if (null !== $time && 1 === preg_match(
            '/\b(?:they|it|each \p{L}+|a batch) (?:takes?|needs?|wants?|fr(?:y|ies)) .*\bin (?:the |hot |deep )*(?:oil|fat|ghee)\b/iu',
            $words,
        )) {
            $this->manner->lasts($text, $this->pots->step($text, $piece, Process::DeepFry, $own, $words), $time);

            return;
        }
        // "almonds, in boiling water for ten minutes"
        if (null !== $time && 1 === preg_match('/^\W*(?:and )?(?:in|into) (?:\p{L}+ )?water\b/iu', $words)
            && !$this->pots->streams->current()->isHot) {
            $this->manner->lasts($text, $this->pots->step($text, $piece, Process::Soak, [
                ...$this->pots->counter->takeHere($piece->sentence, 3, $piece->first),
                ...$own,
            ], ''), $time);

            return;
        }
        // "one and a half litres of water to the boil", "two litres of milk on the fire"
        $isLiquid = [] !== $own
            && [] === array_filter($own, static fn (ToldAmount $a): bool => !\in_array($a->key(), ['water', 'milk', 'buffalo-milk'], true));
        if (
            [] !== $own && 1 === preg_match('/\b(?:to|on) (?:the|a) (?:\p{L}+ )?boil\b/iu', $words)
            || $isLiquid && 1 === preg_match('/\bon the (?:fire|flame|stove|heat)\b/i', $words)
        ) {
            $this->pots->step($text, $piece, Process::Boil, $own, $words);

            return;
        }
        // "the dough needs its two hours of rest": said of what was done
        if (null !== $time && 1 === preg_match('/\bof (?:rest|soaking|cooling|standing)\b/i', $words)) {
            return;
        }
        if (null !== $time) {
            $this->times->bareTime($text, $piece, $time, $own, $words.' '.$signs);

            return;
        }
        if ([] !== $own) {
            $this->adding->goesOnWith($words, $piece->sentence);
        } elseif (1 === preg_match('/^\W*(?:(?:then|now|next|and|finally|last|lastly)\W+(?:all )?|all )the \p{L}+(?: in| go in'
            .'| at once)?\W*$/iu', $words)) {
            // "then the coins": what was seen to beside
            array_push($this->pots->joining, ...$this->pots->streams->named($words, [], false));
            $this->pots->isPoured = $this->pots->isPoured || [] !== $this->pots->joining;
        }
        $this->adding->add($text, $piece, $own);
        $last = $this->pots->lastStep();
        if (null !== $last && $last->sentence === $piece->sentence) {
            $this->manner->targets($piece, $last);
            $this->manner->mannerTo($last);
        }
    }

    /** "Hang it in a cloth, in the fridge": where it is done; by itself the fridge chills. */
    private function fridge(Text $text, Fragment $piece, string $words): void
    {
        $last = $this->pots->lastStep();
        $isWhere = null !== $last && $last->sentence === $piece->sentence && null === $last->minutes
            && \in_array($last->process, [Process::Strain, Process::Drain, Process::Soak, Process::Rest, Process::Set, Process::Chill],
                true);
        if (!$isWhere) {
            $this->pots->step($text, $piece, Process::Chill, [], $words);
        }
    }

    private function isSyrupOf(string $words): bool
    {
        return 1 === preg_match('/^\W*(?:for the |the |a )?(?:\p{L}+ )?syrup (?:from|of|with|is|in)\b/iu', $words);
    }
}
