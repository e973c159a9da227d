<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Recipe\Process;

/** Which process a verb means where it is said: what stands in the pots decides. */
final readonly class Meaning
{
    /** What comes out of these is whole, and may be put into something to drink of it. */
    private const READY_TO_SOAK = [Process::DeepFry, Process::Press, Process::Drain, Process::Soak, Process::Steam, Process::Griddle,
        Process::Shape, Process::Cut];

    private LeftAlone $waiting;

    public function __construct(private Pots $pots)
    {
        $this->waiting = new LeftAlone($pots);
    }

    /**
     * @param list<string> $ids
     * @param bool         $isTimed whether a time stands by itself behind the piece
     */
    public function process(Action $action, array $ids, string $words, Fragment $piece, bool $isTimed = false): ?Process
    {
        $stream = $this->pots->streams->current();
        $isTold = $piece->has(SpanKind::Time) || $this->hasSign($words);
        $last = null === $stream->last ? null : $this->pots->steps[$stream->last]->process;
        if (\in_array($action, [Action::Add, Action::Dip, Action::Shape], true) && $this->isIntoFat($words) && Action::Shape !== $action) {
            return Process::DeepFry;
        }
        switch ($action) {
            case Action::Prepare:
                if ([] === $ids && \in_array($last, [Process::Set, Process::Score, Process::Chill], true)) {
                    return Process::Cut;
                }

                // "scrape the sides": in a pot that cooks nothing is prepared.
                return [] === $ids && $stream->isHot && !$this->pots->streams->beginsNext
                    && 1 !== preg_match('/\b(?:them|these|those)\b/i', $words)
                    && !\in_array($last, [Process::Parch, Process::Roast, Process::Steam, Process::FryGarnish], true)
                    ? null
                    : Process::Prepare;
            case Action::Shape:
                // "Wrap it in foil", "wrap and rest"
                return [] === $ids && 1 === preg_match('/^\W*(?:and )?wrap(?:ped)?(?: and\b|(?: \p{L}+){0,3} (?:foil|cloth|towel|paper'
                    .'|film)\b'
                    .'|\W|$)/iu', $words)
                    ? null
                    : Process::Shape;
            case Action::Stir:
                // "turn them over" belongs to the frying.
                if (\in_array($last, [Process::Griddle, Process::DeepFry], true)) {
                    return null;
                }
                // "stir now and then till the milk is gone": of what cooks already
                $before = $this->pots->lastStep();
                if (
                    [] === $ids && !$isTimed && !$piece->has(SpanKind::Time) && [] === $this->pots->counter->adding && !$this->pots->isMixed
                    && null !== $before && $before->sentence === $piece->sentence && null !== $before->minutes
                    && \in_array($before->process, [Process::Simmer, Process::Reduce, Process::Roast, Process::Boil], true)
                    && 1 === preg_match('/\b(?:now and then|often|from time to time|always|all the time|without stopping)\b/i', $words)
                ) {
                    return null;
                }
                // "stir it into a litre of water"
                if (
                    !$stream->isHot
                    && [] !== array_intersect($ids, ['water', 'milk'])
                    && 1 === preg_match('/\bstirs? (?:it|them|this|.{1,30}?) into\b/iu', $words)
                ) {
                    return Process::MixIn;
                }

                return ($isTold || $isTimed)
                    && (
                        $stream->isHot
                        || $piece->has(SpanKind::Fire)
                        || [] !== $this->pots->counter->adding
                        || ([] !== $this->pots->counter->waiting && \in_array($last, [null, Process::Prepare], true))
                    ) ? ProcessOf::cooking($action, $ids, $words, $stream, $this->pots->counter->pan(), false) : null;
            case Action::Leave:
                return $this->waiting->leave($words, $piece, $isTold, $isTimed);
            case Action::Add:
                return $this->adds($ids, $words, $stream);
            case Action::Garnish:
                if (
                    [] !== $ids
                    && [] === array_filter($ids, static fn (string $id): bool => !ProcessOf::isFat($id) && 'water' !== $id)
                ) {
                    return null;
                }

                return [] === $ids && !$this->namesOther($words, $ids) ? null : Process::Garnish;
            case Action::Set:
                if (1 === preg_match('/\bto dry\b/i', $words)) {
                    return Process::Dry;
                }
                if (!$piece->has(SpanKind::Fire) && 1 !== preg_match('/\b(?:flame|fire|stove)\b/i', $words)) {
                    return Process::Set;
                }

                // "set it over a medium flame": what stands there begins to cook.
                return $stream->isHot || [] === [...$this->pots->counter->waiting, ...$this->pots->counter->adding]
                    || $piece->has(SpanKind::FlameOff)
                    ? null
                    : Process::Simmer;
            default:
                if (\in_array($action, [Action::Boil, Action::Simmer], true)
                    && 1 === preg_match('/^\W*(?:\p{L}+ )?\p{L}+ (?:the|a) syrup\b/iu', $words)
                    && !$this->pots->isSyrupMade()) {
                    $this->pots->streams->beginsNext = true;

                    return Process::Syrup;
                }
                if (Action::Simmer === $action && (1 === preg_match('/\b(?:your|the) (?:hands?|palms)\b/i', $words)
                    || 1 === preg_match(Frame::WARMED_AGAIN, $words))) {
                    return null;
                }
                if (Action::Dip === $action && $this->pots->isSyrupBeside() && \in_array(
                    $last,
                    [Process::DeepFry, Process::Roast, Process::Griddle, Process::Drain],
                    true,
                )) {
                    return Process::Dunk;
                }
                if (Action::Dip === $action && Process::Syrup === $last && $this->namesOther($words, $ids)) {
                    return Process::Dunk;
                }
                // What was dropped into the syrup cooks there.
                if (\in_array($action, [Action::Boil, Action::Simmer], true) && [] === $ids && [] !== $this->pots->joining) {
                    return Process::Simmer;
                }
                if (
                    Action::Fry === $action
                    && [] === array_filter($ids, static fn (string $id): bool => !ProcessOf::isFat($id))
                    && \in_array($last, [Process::Shape, Process::Cut], true)
                ) {
                    return Process::DeepFry;
                }
                if ([] === array_diff($ids, ['water']) && \in_array(
                    $action,
                    [Action::Melt, Action::Boil, Action::Simmer],
                    true,
                ) && [] !== $this->pots->counter->adding
                    && [] !== array_intersect(
                        $this->pots->counter->added(),
                        ProcessOf::SWEET,
                    )
                    && [] === array_diff(
                        $this->pots->counter->added(),
                        ProcessOf::SWEET,
                        ProcessOf::SEASONING,
                    )
                    && [] === array_intersect($stream->holds, ['milk', 'semolina', ...ProcessOf::SWEET])
                    && (Action::Melt === $action || $piece->has(SpanKind::Stage) || 1 === preg_match('/\bsyrup\b/i', $words)
                        || (\in_array('water', [...$ids, ...$this->pots->counter->added()], true)
                            && !\in_array('milk', $this->pots->counter->added(), true)))) {
                    // "jaggery 400 g, water four spoons. Melt": a syrup beside what stands.
                    array_push($this->pots->counter->waiting, ...$this->pots->counter->adding);
                    $this->pots->counter->adding = [];
                    $this->pots->streams->beginsNext = true;
                }
                $here = [] === $ids && (null === $stream->last || $this->pots->streams->beginsNext)
                    ? $this->pots->counter->waits()
                    : $ids;

                $process = ProcessOf::cooking(
                    $action,
                    $here,
                    $words,
                    $this->pots->streams->beginsNext ? new Stream(-1) : $stream,
                    $this->pots->counter->pan(),
                    $piece->has(SpanKind::Stage) || 1 === preg_match('/\b(?:string|syrup|tacky|ball)\b/i', $words),
                );
                // "the third milk in, it boils ten minutes": what boils on in a pot that is full simmers.
                $isOn = Process::Boil === $process && $piece->has(SpanKind::Time) && $stream->isHot && !$this->pots->streams->beginsNext;

                return $isOn && [] === $ids && [] !== array_diff($stream->holds, ['milk', 'water']) ? Process::Simmer : $process;
        }
    }

    /** Whether what is told goes into deep fat: "squeeze circles into the fat", "pour the batter on", with the fat hot. */
    public function isIntoFat(string $words): bool
    {
        [$isHot, $isDeep] = $this->pots->counter->pan();
        $shaped = '/\b(?:batter|rings?|circles|spirals|coils|spoonfuls?|dough|drops|balls|pieces|strips|discs|twists|parcels)\b/i';

        return 1 === preg_match('/\b(?:into|in) (?:the )?(?:hot |smoking |deep )?(?:oil|fat|ghee)\b/i', $words)
                && ($isHot || 1 === preg_match($shaped, $words))
            || $isHot && $isDeep && 1 === preg_match($shaped, $words)
                && 1 === preg_match('/\b(?:pour|drop|press|squeeze|slide|lower|slip)/i', $words);
    }

    /**
     * Pouring, tipping, putting: what it means depends on what, where, and how hot.
     *
     * @param list<string> $ids
     */
    public function adds(array $ids, string $words, Stream $stream): ?Process
    {
        $last = null === $stream->last ? null : $this->pots->steps[$stream->last]->process;
        $isLiquid = [] !== array_intersect($ids, ['water', 'milk', 'coconut-milk', 'cream', 'coconut-milk-first', 'coconut-milk-thin']);
        $this->pots->isScalded = $isLiquid && 1 === preg_match('/\b(?:boiling|hot)\b/i', $words);

        return match (true) {
            1 === preg_match('/\b(?:fridge|refrigerator)\b|\b(?:in|into) the cold\b/i', $words) => Process::Chill,
            // "pour it into ten small cups"
            [] === $ids && null !== $last && 1 === preg_match('/\b(?:pour|fill|ladle|spoon)\b.*\binto (?:\p{L}+ ){0,3}(?:cups|glasses|bowls'
                .'|ramekins|tumblers|pots)\b/iu', $words) => Process::Portion,
            1 === preg_match('/\b(?:beat|whisk|whip|rub)\b.*\b(?:minutes?|mins?)\b/i', $words) => Process::MixIn,
            1 === preg_match('/\bthrough (?:a|the) (?:\p{L}+ )?sieve\b/iu', $words) => $isLiquid || $stream->isHot ? Process::Strain
                : Process::Sieve,
            1 === preg_match('/\b(?:in|into) the cooker\b|\bwhistle/i', $words) => Process::Pressure,
            // "mix two cups of semolina with a cup of sugar", before anything else
            null === $last && \count($ids) > 1 && 1 === preg_match('/\b(?:mix|combine|whisk)\b/i', $words) => Process::MixIn,
            // "the figs go into hot water for twenty minutes"
            \in_array('water', $ids, true) && (!$stream->isHot || \in_array($last, self::READY_TO_SOAK, true)) && 1 === preg_match(
                '/\b(?:go|goes|put|lie|lay|left|leave|drop|slip)\b.*\b(?:in|into) (?:\p{L}+ ){0,2}water\b.*'
                    .'\b(?:minutes?|hours?|overnight)\b/iu',
                $words,
            ) => Process::Soak,
            // "lay them in the milk for two hours"
            \in_array($last, self::READY_TO_SOAK, true) && 1 === preg_match(
                '/\b(?:go|goes|put|lie|lay|left|leave|drop|slip|slide)\b.*\b(?:in|into) (?:the |this |that )?(?:\p{L}+ )?(?:milk|cream)\b.*'
                    .'\b(?:minutes?|hours?|overnight)\b/iu',
                $words,
            ) => Process::Steep,
            !$isLiquid && 1 === preg_match('/\b(?:on top|over the top|over them)\b/i', $words) => Process::Garnish,
            [] !== $ids && 1 === preg_match('/\bgo(?:es)? (?:over|on|onto) .*\b(?:fire|flame|heat)\b/i', $words)
                && [] !== array_filter($ids, ProcessOf::isFat(...)) => Process::Roast,
            !\in_array($last, [Process::Parch, Process::Roast, Process::FryGarnish, Process::DeepFry], true)
                && 1 === preg_match('/\b(?:tray|plate|thali|slab|moulds?|marble|stone|board|frames?)\b/i', $words)
                && 1 === preg_match('/\b(?:in|into|on|onto)\b/i', $words) => Process::Set,
            (
                Process::DeepFry === $last
                || Process::Shape === $last
                || Process::FryGarnish === $last
            ) && 1 === preg_match('/\b(?:into|in) (?:the )?(?:\w+ )?syrup\b/i', $words) => Process::Dunk,
            1 === preg_match('/\b(?:boiling|hot)\b/i', $words)
                && (Process::Roast === $last || $this->pots->isRoastedBeside())
                && 1 === preg_match('/\b(?:pour|tip|add|in|over)\b/i', $words) => Process::Merge,
            Process::Boil === $last && 1 === preg_match(
                '/\bpour\b.*\b(?:over|in|into)\b|\bpours\b/i',
                $words,
            ) && $this->pots->isRoastedBeside() => Process::Merge,
            default => null,
        };
    }

    /** @param list<string> $ids */
    public function namesOther(string $words, array $ids): bool
    {
        return [] !== $this->pots->streams->named($words, $ids, false);
    }

    public function hasSign(string $words): bool
    {
        return 1 === preg_match('/\b(?:until|till|so that|so thick|so soft|as soon as)\b/i', $words);
    }

    /** The cooking that goes on in the pot when more is said of it. */
    public function goesOn(string $words): Process
    {
        $stream = $this->pots->streams->current();
        $last = null === $stream->last ? null : $this->pots->steps[$stream->last]->process;
        $added = $this->pots->counter->added();
        // "then the wheat in a litre of ghee, another twenty": what comes dry into hot fat is roasted too.
        $isFat = [] !== array_filter([...$stream->holds, ...$added], ProcessOf::isFat(...));
        if (
            $isFat && [] !== $added && [] === array_intersect($added, ['water', 'milk', 'cream', 'sugar', 'jaggery', 'coconut-milk'])
            && \in_array($last, [Process::Roast, Process::FryGarnish, Process::Bloom, Process::Parch], true)
            && [] === array_intersect($stream->holds, ['water', 'milk'])
        ) {
            return Process::Roast;
        }

        return ProcessOf::cooking(Action::Stir, [], $words, $this->pots->streams->current(), $this->pots->counter->pan(), false)
            ?? Process::Simmer;
    }
}
