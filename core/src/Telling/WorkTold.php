<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\Process;

/** A piece in which something is done: which steps its verbs make, of what, and for how long. */
final readonly class WorkTold
{
    public function __construct(
        private Purpose $purpose,
        private Pots $pots,
        private Meaning $meaning,
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
        $isUntold = [] === array_filter($own, static fn (ToldAmount $a): bool => $a->isTold);
        if ($piece->isLabel && $isUntold && 1 === preg_match('/\bmake (?:the|a) /i', $words)) {
            // "make the syrup: one kilo of sugar and ..."
            $this->times->label($piece, $words);

            return;
        }
        $this->manner->manner($text, $piece);
        $onlyAdds = [] === array_filter(
            $this->purpose->verbs($text, $piece->spans, $piece->first),
            static fn (Span $v): bool => !$v->isDone(Action::Add),
        );
        if ([] !== $own && $onlyAdds && $this->adding->bind($text, $piece, $own, $words)) {
            return;
        }
        $ids = array_values(array_filter(array_map(static fn (ToldAmount $a): ?string => $a->thing?->id, $own)));
        $verbs = $this->purpose->verbs($text, $piece->spans, $piece->first);
        $done = null;
        $prior = $this->pots->lastStep();
        $taken = [];
        $begun = [];
        foreach ($verbs as $verb) {
            $action = $verb->action ?? Action::Add;
            // "you take a cup of semolina and roast it"
            $isIt = 1 === preg_match('/\b(?:it|them|these)\b/i', $words);
            if (
                $isIt
                && null === $this->pots->streams->current()->last
                && [] !== $own
                && !\in_array($action, [Action::Add, Action::Off], true)
            ) {
                $taken = $this->pots->counter->takeHere($piece->sentence);
                $taken = [] === $taken ? $this->pots->counter->takeHere($piece->sentence - 1, 2) : $taken;
                array_push($ids, ...array_values(array_filter(array_map(static fn (ToldAmount $a): ?string => $a->thing?->id, $taken))));
            }
            // "fifteen cashews and some raisins, fry them"
            if (
                [] === array_filter($ids, static fn (string $id): bool => !ProcessOf::isFat($id))
                && \in_array($action, [Action::Fry, Action::Roast, Action::Parch], true)
                && 1 === preg_match('/\b(?:it|them|these)\b/i', $words)
                && [] === $taken
            ) {
                $taken = $this->pots->counter->takeHere($piece->sentence, 9, $piece->first);
                $ids = array_values(array_filter(array_map(static fn (ToldAmount $a): ?string => $a->thing?->id, $taken)));
            }
            // "100 g of butter, melted": how it is.
            if (VerbForm::Done === $verb->form && Action::Melt === $action && [] === $own && $this->pots->counter->endsWithFat()) {
                continue;
            }
            // "sugar, sieved": what was named last.
            $isInLiquid = [] === array_filter($own, static fn (ToldAmount $a): bool => !\in_array($a->key(), ['water', 'milk'], true));
            if (VerbForm::Done === $verb->form && $isInLiquid && null === $done) {
                // "dissolved in half a cup of water"
                $own = [
                    ...(1 === preg_match('/\btogether\b/i', $words)
                        ? $this->pots->counter->takeHere($piece->sentence)
                        : $this->pots->counter->namedLast($piece->sentence)),
                    ...$own,
                ];
                $ids = array_values(array_filter(array_map(static fn (ToldAmount $a): ?string => $a->thing?->id, $own)));
            }
            $inPan = \in_array(
                $action,
                [Action::Fry, Action::Roast, Action::Parch],
                true,
            ) && $this->pots->counter->addedIn === $piece->sentence
                ? $this->pots->counter->added($piece->sentence)
                : [];
            // "mash two and slice one": of what this sentence told
            if (
                [] === $own && [] === $taken && null === $done
                && \in_array($action, [Action::Mash, Action::Prepare, Action::Cut, Action::Grind, Action::Parch, Action::Sieve,
                    Action::Rinse], true)
                && (null === $this->pots->streams->current()->last || $this->pots->streams->beginsNext)
            ) {
                $own = $this->pots->counter->takeHere($piece->sentence, 3, $piece->first);
                $ids = array_values(array_filter(array_map(static fn (ToldAmount $a): ?string => $a->thing?->id, $own)));
            }
            // "150 g of ghee, in it roast the semolina"
            if (
                [] === $taken && null === $done && \in_array($action, [Action::Fry, Action::Roast], true)
                && 1 === preg_match('/^\W*(?:and |then )?in (?:it|that|this)\b/i', $words)
            ) {
                $taken = $this->pots->counter->takeHere($piece->sentence, 2, $piece->first);
                array_push($ids, ...array_values(array_filter(array_map(static fn (ToldAmount $a): ?string => $a->thing?->id, $taken))));
            }
            $process = $this->meaning->process($action, [...$ids, ...$inPan], $words.' '.$signs, $piece, $isTimed);
            if ([] !== $own && ProcessOf::isGarnish($ids) && 1 === preg_match('/\b(?:in|on|into|onto|to) each\b/i', $words)) {
                $process = Process::Garnish;
            }
            if (\in_array($action, [Action::Add, Action::Dip], true) && $this->adding->goesIntoSyrup($words)) {
                $process = Process::Dunk;
            }
            if (
                Action::Serve === $action
                && [] !== $own
                && 1 === preg_match('/\b(?:on top|over it|over them|sprinkled|topped)\b/i', $words)
            ) {
                $process = Process::Garnish;
            }
            if (null !== $process && $process !== $done?->process) {
                $own = [...$taken, ...$own];
                // "eight slices of bread, fry them": "them" is what comes in.
                $said = [] === $taken ? $words : (string) preg_replace('/\b(?:it|them|these)\b/i', '', $words);
                $done = $this->pots->step($text, $piece, $process, $own, $said);
                $done->isStirred = $done->isStirred || Action::Stir === $action;
                [$own, $taken] = [[], []];
                $begun[] = [$verb->first, $done];
                // "make rings straight into the oil"
                if (Process::Shape === $process && $this->meaning->isIntoFat($words)) {
                    $done = $this->pots->step($text, $piece, Process::DeepFry, [], $words);
                }
            } elseif (null !== $done && Action::Stir === $action) {
                $done->attention ??= AttentionKind::Watch;
            } elseif (null === $process) {
                $this->weak($piece, $action, $own, $words);
                $own = \in_array($action, [Action::Melt, Action::Simmer], true) && [] !== $this->pots->counter->fat ? [] : $own;
                $own = \in_array($action, [Action::Test, Action::Serve], true) ? [] : $own;
            }
        }
        // Taken for a step that was none: it waits on.
        $this->pots->counter->list($taken);
        if (null === $done && [] !== $own) {
            $this->adding->add($text, $piece, $own);
        }
        $time = $this->manner->timeOf($text, $piece, $prior)
            ?? $this->manner->timeOf($text, $piece, $this->pots->lastStep())
            ?? $this->manner->timeSaidBefore();
        if (null !== $time) {
            if (null !== $done && $text->is($time->first - 1, 'after') && null !== $prior && $prior !== $done) {
                // "Mark it after ten minutes": so long it set.
                $this->manner->lasts($text, $prior, $time);
            } elseif (null !== $done) {
                // "roasted three minutes and washed": of the verb before it
                $of = array_filter($begun, static fn (array $b): bool => $b[0] < $time->first);
                $this->manner->lasts($text, [] === $of ? $done : $of[array_key_last($of)][1], $time);
            } else {
                $this->times->bareTime($text, $piece, $time, [], $words.' '.$signs);
            }
        }
        if (null !== $done) {
            $this->manner->targets($piece, $done);
            $this->manner->mannerTo($done);
        }
    }

    /**
     * A verb that makes no step of its own, and what it does to the pots all the same.
     *
     * @param list<ToldAmount> $own
     */
    private function weak(Fragment $piece, Action $action, array $own, string $words): void
    {
        $stream = $this->pots->streams->current();
        $fats = array_filter($own, static fn (ToldAmount $a): bool => null !== $a->thing && ProcessOf::isFat($a->thing->id));
        if (
            Action::Add === $action
            && [] === $own
            && [] === $this->pots->counter->adding
            && $stream->isHot
            && 1 === preg_match('/\b(?:pour|add|put|tip) (?:in|the|it)\b/i', $words)
        ) {
            [$this->pots->isMixed, $this->pots->counter->addedIn] = [true, $piece->sentence];
        }
        // "keep it aside": back to the pot that was left for it
        if (Action::Leave === $action && 1 === preg_match('/\b(?:aside|apart|to one side)\b/i', $words)) {
            $others = array_filter($this->pots->streams->open(), static fn (Stream $s): bool => $s->id < $stream->id);
            if ([] !== $others && null !== $stream->last) {
                $this->pots->streams->goOnWith(end($others));
            } elseif (null !== $stream->last) {
                $this->pots->streams->beginsNext = true;
            }
        }
        // "add the syrup to it", said of the syrup that was just cooked: it goes into what stands beside it.
        if (Action::Dip === $action && null !== $stream->last) {
            array_push($this->pots->joining, ...$this->pots->streams->named($words, [], false));
        }
        if (
            Action::Add === $action
            && null !== $stream->last
            && 1 === preg_match('/\b(?:add|pour|put|tip|mix|stir|goes|go|turn|fold|throw)/i', $words)
        ) {
            $this->adding->poursInto($stream, $own, $words);
            $this->adding->takesIn($own, $words);
        }
        // Fat that is heated waits for what is fried in it.
        if (\in_array($action, [Action::Simmer, Action::Melt], true) && [] !== $fats && \count($fats) === \count($own)) {
            $this->pots->counter->heatFat(array_values($fats), $piece->has(SpanKind::Length) || 1 === preg_match('/\boil\b/i', $words));
        }
    }
}
