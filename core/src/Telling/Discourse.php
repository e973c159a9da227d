<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\Process;
use FeastLadle\Vessel\VesselKind;

/**
 * Follows a telling from piece to piece: what goes into which pot, which pot "it" is, what was only named and goes in later, which time
 * and which sign belong to which step.
 */
final class Discourse
{
    /** "The filling is", "for the dough", at the beginning of what is said of it. */
    private const PART = '/^\W*(?:and |now |then |so )?(?:the |for the |in the )?(?:filling|stuffing|dough|syrup|batter|coating|topping'
        .'|base) (?:is|are|first|you|we)\b|^\W*for the (?:filling|stuffing|dough|syrup|batter|coating|topping|base)\b/i';

    /** @var list<ToldAmount> everything told */
    public array $amounts = [];

    public readonly Pots $pots;

    public readonly Signs $signs;

    private readonly Adding $adding;

    private readonly Meaning $meaning;

    private readonly Manner $manner;

    private readonly Times $times;

    /** @param list<ToldAmount> $listed what a list says goes in */
    public function __construct(private readonly Purpose $purpose, array $listed = [])
    {
        $this->manner = new Manner();
        $this->pots = new Pots($this->manner);
        $this->adding = new Adding($this->pots, $this->manner);
        $this->meaning = new Meaning($this->pots);
        $this->signs = new Signs($this->pots, $this->manner);
        $this->times = new Times($this->pots, $this->meaning, $this->manner, $this->adding);
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
            if ($piece->has(SpanKind::Apart) && $isApartBefore) {
                $isApartBefore = false;
            } elseif ($piece->has(SpanKind::Apart) || $isApartBehind) {
                $this->pots->flush($piece->sentence, false);
                $this->pots->streams->beginsNext = true;
                $isApartBefore = $isApartBehind;
            }
            match (true) {
                $piece->kind->isSign() => $this->signs->sign($text, $piece),
                FragmentKind::Work === $piece->kind => $this->work(
                    $text,
                    $piece,
                    $own,
                    $this->signs->signsBehind($text, $pieces, $k),
                    $this->signs->hasTimeBehind($pieces, $k),
                ),
                FragmentKind::Bare === $piece->kind => $this->bare(
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

    /**
     * @param list<ToldAmount> $own
     * @param string           $signs   words of the signs behind it
     * @param bool             $isTimed whether a time stands by itself behind it
     */
    private function bare(Text $text, Fragment $piece, array $own, string $signs, bool $isTimed): void
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
            if ([] === $own || ([] === array_filter($own, static fn (ToldAmount $a): bool => $a->isTold) && 1 === preg_match('/\bfirst\b/i', $words))) {
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
        if ([] === $own && 1 === preg_match('/^\W*(?:on|over) (?:the )?top\W*$/i', $words) && $this->pots->goesOnTop($piece)) {
            $this->pots->step($text, $piece, Process::Garnish, [], $words);
        } elseif (1 === preg_match('/\b(?:fridge|refrigerator)\b/i', $words)) {
            $this->fridge($text, $piece, $words);
        } elseif ($this->isSyrupOf($words) && [] !== $own) {
            $this->times->label($piece, 'syrup');
            $this->pots->step($text, $piece, Process::Syrup, $own, '');

            return;
        } elseif ($this->goesIntoSyrup($words)) {
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
        $own = $this->bind($text, $piece, $own, $words) ? [] : $own;
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
        if (null !== $more && $text->is($more->next, 'more') && $more->next + 1 >= $piece->next && null !== $before?->minutes
            && $before->sentence === $piece->sentence) {
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
        // "almonds, in boiling water for ten minutes"
        if (null !== $time && 1 === preg_match('/^\W*(?:and )?(?:in|into) (?:\p{L}+ )?water\b/iu', $words) && !$this->pots->streams->current()->isHot) {
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
        } elseif (1 === preg_match('/^\W*(?:(?:then|now|next|and|finally|last|lastly)\W+(?:all )?|all )the \p{L}+(?: in| go in| at once)?\W*$/iu', $words)) {
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

    /**
     * "... and milk to a batter that just pours": all that was told becomes one.
     *
     * @param list<ToldAmount> $own
     */
    private function bind(Text $text, Fragment $piece, array $own, string $words): bool
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

    /** "Hang it in a cloth, in the fridge": where it is done; by itself the fridge chills. */
    private function fridge(Text $text, Fragment $piece, string $words): void
    {
        $last = $this->pots->lastStep();
        $isWhere = null !== $last && $last->sentence === $piece->sentence && null === $last->minutes
            && \in_array($last->process, [Process::Strain, Process::Drain, Process::Soak, Process::Rest, Process::Set, Process::Chill], true);
        if (!$isWhere) {
            $this->pots->step($text, $piece, Process::Chill, [], $words);
        }
    }

    private function isSyrupOf(string $words): bool
    {
        return 1 === preg_match('/^\W*(?:for the |the |a )?(?:\p{L}+ )?syrup (?:from|of|with|is|in)\b/iu', $words);
    }

    /** "straight into the syrup", "each slice through the syrup": said of what was fried. */
    private function goesIntoSyrup(string $words): bool
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

    /**
     * @param list<ToldAmount> $own
     * @param string           $signs   words of the signs behind it
     * @param bool             $isTimed whether a time stands by itself behind it
     */
    private function work(Text $text, Fragment $piece, array $own, string $signs, bool $isTimed): void
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
        if ([] !== $own && $onlyAdds && $this->bind($text, $piece, $own, $words)) {
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
                && \in_array($action, [Action::Mash, Action::Prepare, Action::Cut, Action::Grind, Action::Parch, Action::Sieve, Action::Rinse], true)
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
            if (\in_array($action, [Action::Add, Action::Dip], true) && $this->goesIntoSyrup($words)) {
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
