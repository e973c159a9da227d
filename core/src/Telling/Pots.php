<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Recipe\Process;

/** What goes on in which pot: the steps so far, what each was made of, and what is poured into what. */
final class Pots
{
    /** How many sentences later what was added still belongs to the cooking that follows. */
    private const SOON = 2;

    /** What is in most pots names none of them. */
    private const COMMON = ['water', 'milk', 'sugar', 'ghee', 'salt', 'cardamom', 'frying-oil', 'saffron'];

    private const NUTS = ['cashews', 'cashew-pieces', 'almonds', 'walnuts', 'pistachios', 'peanuts', 'pine-nuts', 'hazelnuts'];

    /** After these what is added goes on top. */
    private const FINISHED = [Process::Cut, Process::Set, Process::Score, Process::Shape, Process::Chill, Process::Portion,
        Process::TurnOut, Process::Griddle, Process::Dunk, Process::DeepFry, Process::Steam];

    /** Told twice in a breath these are one work: "peel and grate them", "roll and fill". */
    private const ONE_WORK = [Process::Prepare, Process::Shape, Process::Set, Process::Syrup, Process::MixIn, Process::Garnish,
        Process::Chill, Process::Soak, Process::Grind, Process::Strain, Process::Drain, Process::Rinse, Process::DeepFry, Process::Merge];

    /** @var list<ToldStep> */
    public array $steps = [];

    public readonly Streams $streams;

    public readonly Counter $counter;

    /** how many steps there were when the present part of the telling began */
    public int $section = 0;

    /** what was poured last was boiling */
    public bool $isScalded = false;

    /** @var list<Stream> what is poured into the pot with the next step */
    public array $joining = [];

    public bool $isPoured = false;

    /** something was poured in that has no name of its own */
    public bool $isMixed = false;

    public function __construct(private readonly Manner $manner)
    {
        $this->streams = new Streams();
        $this->counter = new Counter();
    }

    /** What was added becomes a step of its own, where no cooking followed soon. */
    public function flush(int $sentence, bool $isCooking): void
    {
        if (([] === $this->counter->adding && !$this->isPoured) || ($isCooking && $sentence - $this->counter->addedIn <= self::SOON)) {
            return;
        }
        $adding = $this->counter->adding;
        $this->counter->adding = [];
        if (null === $this->streams->current()->last) {
            array_push($this->counter->waiting, ...$adding);

            return;
        }
        $after = $this->steps[$this->streams->current()->last]->process;
        $isBody = static fn (ToldAmount $a): bool => \in_array($a->key(), ['water', 'milk', 'sugar'], true);
        $isOnTop = \in_array($after, self::FINISHED, true) && [] === array_filter($adding, $isBody);
        $step = new ToldStep(
            $isOnTop ? Process::Garnish : Process::MixIn,
            $this->streams->current()->id,
            $this->counter->addedIn,
            $this->counter->addedAt[0],
            $this->counter->addedAt[1],
        );
        $again = array_filter(array_map(static fn (ToldAmount $a): ?string => $a->isTold ? null : $a->thing?->id, $adding));
        $this->keep($step, $adding, $this->streams->named('', array_values($again), false));
    }

    /**
     * @param list<ToldAmount> $own
     */
    public function step(Text $text, Fragment $piece, Process $process, array $own, string $words): ToldStep
    {
        $isCooking = 'none' !== $process->facts()->flame->value
            || \in_array($process, [Process::Knead, Process::Grind, Process::Mash], true);
        $isCooking = $isCooking
            && (
                \in_array($process, [Process::Parch, Process::Roast], true)
                && $this->counter->addedIn === $piece->sentence
                || !\in_array($process, [Process::FryGarnish, Process::Syrup, Process::DeepFry, Process::Griddle, Process::Parch], true)
            );
        $isOfDough = $this->streams->isOfDough();
        $everything = 1 === preg_match('/\b(?:everything|all together|all of it|them all|the two|both)\b(?! sides)/i', $words);
        $ids = array_values(array_filter(array_map(static fn (ToldAmount $a): ?string => $a->thing?->id, $own)));
        $isIt = 1 === preg_match('/\b(?:it|them|this|these|the mixture|everything)\b/i', $words)
            && ([] === $own || 1 === preg_match('/^\W*(?:\w+\W+){0,3}?(?:it|them|this|these|the mixture|everything)\b/i', $words));
        $own = $this->counter->known($own);
        // "fry the cashews, then add the raisins and fry": one pan of nuts.
        $before = $this->lastStep();
        if (
            Process::FryGarnish === $process
            && null !== $before
            && $before->process === $process
            && $before->sentence === $piece->sentence
        ) {
            array_push($before->amounts, ...$this->counter->adding, ...$own);
            $this->counter->adding = [];
            $before->covers($piece->first, $piece->next);

            return $before;
        }
        // What is shaped or kneaded is no syrup.
        if (\in_array($process, [Process::Shape, Process::Knead], true) && !$this->streams->beginsNext) {
            $this->leaveSyrup($piece->sentence);
        }
        // Nuts and saffron are seen to beside the pot, and the telling goes on with the pot.
        $isAside = \in_array($process, [Process::FryGarnish, Process::Infuse], true);
        $main = $this->streams->current();
        if ($this->streams->isOwn($process, $ids, $isIt)) {
            if (null !== $this->streams->current()->last || [] === $this->streams->all || $this->streams->beginsNext) {
                if ($isAside && $this->counter->addedIn < $piece->sentence) {
                    $this->flush($piece->sentence, false);
                } elseif ($isAside) {
                    $kept = $this->counter->adding;
                    $this->counter->adding = [];
                } elseif (!$this->counter->addedByVerb) {
                    // What was only named waits until it is said where it goes; into a hot pot it went a sentence ago.
                    $this->counter->listAdded($main->isHot ? $piece->sentence : null);
                }
                $this->flush($piece->sentence, false);
                if ($this->streams->beginsNext || null !== $this->streams->current()->last) {
                    $this->streams->begin();
                }
            }
        } else {
            $this->flush($piece->sentence, $isCooking);
        }
        $stream = $this->streams->current();
        $last = null === $stream->last ? null : $this->steps[$stream->last];
        // "peel and grate them", "roll and fill": one work.
        if (
            null !== $last
            && $last->process === $process
            && $stream->last === array_key_last($this->steps)
            && \in_array($process, self::ONE_WORK, true)
            && (
                $last->sentence === $piece->sentence
                || null === $this->manner->timeOf($text, $piece, $this->lastStep())
                || null === $last->minutes
            )
        ) {
            $last->covers($piece->first, $piece->next);
            array_push($last->amounts, ...$own);

            return $last;
        }
        $isBegun = null !== $last && (Process::Prepare !== $last->process || Process::Simmer !== $process);
        if ([] === $own && [] === $this->counter->adding && !$isBegun && [] !== $this->counter->waiting) {
            $own = $this->counter->waiting;
            $this->counter->waiting = [];
        }
        $untold = static fn (ToldAmount $a): ?string => $a->isTold ? null : $a->thing?->id;
        $again = array_values(array_filter(array_map($untold, [...$this->counter->adding, ...$own])));
        $named = $this->streams->named($words, $again, $everything);
        // "and put them on top": the nuts that were just fried.
        if (Process::Garnish === $process && null !== $before && Process::FryGarnish === $before->process) {
            array_push($named, ...array_filter($this->streams->open(), static fn (Stream $s): bool => $s->id === $before->stream));
        }
        if (Process::Merge === $process) {
            array_push($named, ...array_filter(
                $this->streams->open(),
                fn (Stream $s): bool => $s->id !== $stream->id && null !== $s->last && Process::Roast === $this->steps[$s->last]->process,
            ));
        }
        $step = new ToldStep($process, $stream->id, $piece->sentence, $piece->first, $piece->next);
        $own = [...$this->counter->adding, ...$own];
        if (
            \in_array(
                $process,
                [
                    Process::Roast, Process::FryGarnish, Process::DeepFry, Process::Bloom, Process::Griddle, Process::Simmer,
                    Process::StirToBall,
                ],
                true,
            )
        ) {
            $own = [...$this->counter->fat, ...$own];
            $this->counter->fat = [];
        }
        // "The dough: flour, oil and water, soft. Leave it for two hours": it was kneaded.
        if (Process::Rest === $process && null === $last && $isOfDough && [] !== $own) {
            $this->keep(new ToldStep(Process::Knead, $stream->id, $piece->sentence, $own[0]->first, $piece->first), $own, $named);
            [$own, $named, $this->counter->adding] = [[], [], []];
        }
        if ([] !== $this->counter->adding) {
            $step->covers($this->counter->addedAt[0], $this->counter->addedAt[1]);
        }
        $this->counter->adding = [];
        $this->isMixed = false;
        $this->keep($step, $own, $named);
        $this->manner->mannerTo($step);
        if ($isAside && null !== $main->last && $main->id !== $stream->id) {
            $this->streams->goOnWith($main);
        }
        $this->counter->adding = $kept ?? [];

        return $step;
    }

    /**
     * @param list<ToldAmount> $own
     * @param list<Stream>     $named
     */
    public function keep(ToldStep $step, array $own, array $named): void
    {
        $stream = $this->streams->current();
        if (null !== $stream->last) {
            $step->sources[] = $stream->last;
        }
        $named = [...$this->joining, ...$named];
        [$this->joining, $this->isPoured] = [[], false];
        foreach ($named as $other) {
            if (\in_array($other->last, $step->sources, true)) {
                continue;
            }
            if (null !== $other->last && $other->id !== $stream->id) {
                $step->sources[] = $other->last;
                $other->isOpen = false;
                array_push($stream->holds, ...$other->holds);
                array_push($stream->names, ...$other->names);
            }
        }
        if (Process::Merge === $step->process) {
            // What was roasted stands there; the other is poured over it.
            usort(
                $step->sources,
                fn (int $a, int $b): int => (int) (Process::Roast !== $this->steps[$a]->process)
                    <=> (int) (Process::Roast !== $this->steps[$b]->process),
            );
        }
        foreach ($own as $amount) {
            $isIn = !$amount->isTold && null !== $amount->thing && \in_array($amount->thing->id, $stream->holds, true);
            if (!$isIn) {
                $step->amounts[] = $amount;
            }
            if (null !== $amount->thing) {
                $stream->holds[] = $amount->thing->id;
            }
            if (!\in_array($amount->thing->id ?? '', self::COMMON, true)) {
                $stream->names[] = mb_strtolower($amount->named);
            }
            if (\in_array($amount->thing->id ?? '', self::NUTS, true)) {
                $stream->names[] = 'nuts';
            }
        }
        $stream->holds = array_values(array_unique($stream->holds));
        $this->steps[] = $step;
        $stream->went(\count($this->steps) - 1, $step->process);
    }

    private function leaveSyrup(int $sentence): void
    {
        $syrup = $this->streams->current();
        $isSyrup = null !== $syrup->last && [] === array_diff($syrup->holds, ProcessOf::SWEET, ProcessOf::SEASONING)
            && [] !== array_intersect($syrup->holds, ProcessOf::SWEET);
        $others = array_filter($this->streams->open(), static fn (Stream $s): bool => $s->id !== $syrup->id
            && [] !== array_diff($s->holds, ProcessOf::SWEET, ProcessOf::SEASONING));
        if ($isSyrup && [] !== $others) {
            $this->flush($sentence, false);
            $this->streams->goOnWith($others[array_key_last($others)]);
        }
    }

    /** "Almonds, soaked and slivered, over the top": what was seen to beside the pot goes on it. */
    public function goesOnTop(Fragment $piece): bool
    {
        $beside = $this->streams->current();
        $others = array_filter($this->streams->open(), static fn (Stream $s): bool => $s->id < $beside->id);
        if (null === $beside->last || [] === $others || $this->steps[$beside->last]->sentence !== $piece->sentence) {
            return false;
        }
        $this->joining[] = $beside;
        $this->streams->goOnWith($others[array_key_last($others)]);

        return true;
    }

    public function lastStep(): ?ToldStep
    {
        return [] === $this->steps ? null : $this->steps[\count($this->steps) - 1];
    }

    public function isSyrupNow(): bool
    {
        return Process::Syrup === ($this->steps[$this->streams->current()->last ?? -1]->process ?? null) && !$this->streams->beginsNext;
    }

    public function isRoastedBeside(): bool
    {
        foreach ($this->streams->open() as $stream) {
            if (null !== $stream->last && Process::Roast === $this->steps[$stream->last]->process) {
                return true;
            }
        }

        return false;
    }

    public function isSyrupMade(): bool
    {
        foreach ($this->steps as $step) {
            if (Process::Syrup === $step->process) {
                return true;
            }
        }

        return [] !== array_filter($this->streams->all, static fn (Stream $s): bool => \in_array('syrup', $s->names, true)
            && null !== $s->last);
    }

    /** Whether a syrup stands beside. */
    public function isSyrupBeside(): bool
    {
        foreach ($this->streams->open() as $other) {
            $isOther = $other->id !== $this->streams->current()->id && null !== $other->last;
            if ($isOther && Process::Syrup === $this->steps[$other->last]->process) {
                return true;
            }
        }

        return false;
    }

    /** The thing begun that goes by a word of these, if there is one. */
    public function lastNamed(string $words): ?Stream
    {
        foreach ($this->streams->all as $stream) {
            foreach ($stream->names as $name) {
                if (null !== $stream->last && 1 === preg_match('/\b'.preg_quote($name, '/').'\b/iu', $words)) {
                    return $stream;
                }
            }
        }

        return null;
    }
}
