<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Recipe\Process;

/** Which process a verb means where it is said: what stands in the pots decides. */
final readonly class Meaning
{
    public function __construct(private Pots $pots)
    {
    }

    /** @param list<string> $ids */
    public function process(Action $action, array $ids, string $words, Fragment $piece): ?Process
    {
        $stream = $this->pots->streams->current();
        $isTold = $piece->has(SpanKind::Time) || $this->hasSign($words);
        switch ($action) {
            case Action::Stir:
                return $isTold
                    && (
                        $stream->isHot
                        || [] !== $this->pots->counter->adding
                        || (null === $stream->last && [] !== $this->pots->counter->waiting)
                    ) ? ProcessOf::cooking($action, $ids, $words, $stream, $this->pots->counter->pan(), false) : null;
            case Action::Leave:
                if (!$isTold) {
                    return null;
                }

                if (1 === preg_match('/\b(?:dough|batter)\b/i', $words)) {
                    return Process::Rest;
                }
                if (null === $stream->last) {
                    return [] === $this->pots->counter->waiting ? null : ($this->pots->isScalded ? Process::Steep : Process::Rest);
                }

                $isWetted = !$stream->isHot
                    && \in_array('water', $this->pots->counter->added(), true);
                if (
                    $isWetted
                    && \in_array(
                        $this->pots->steps[$stream->last]->process,
                        [Process::Prepare, Process::Rinse, Process::Sieve, Process::Drain],
                        true,
                    )
                ) {
                    return Process::Soak;
                }

                return ProcessOf::waiting(
                    $this->pots->steps[$stream->last]->process,
                    $stream->isHot,
                    $stream->isOff || $piece->has(SpanKind::FlameOff),
                );
            case Action::Add:
                return $this->adds($ids, $words, $stream);
            case Action::Garnish:
                if ([] !== $ids && [] === array_filter($ids, static fn (string $id): bool => !ProcessOf::isFat($id))) {
                    return null;
                }

                return [] === $ids && !$this->namesOther($words, $ids) ? null : Process::Garnish;
            case Action::Set:
                return $piece->has(SpanKind::Fire) || 1 === preg_match('/\b(?:flame|fire|stove)\b/i', $words) ? null : Process::Set;
            default:
                if (Action::Simmer === $action && 1 === preg_match('/\b(?:your|the) (?:hands?|palms)\b/i', $words)) {
                    return null;
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
                    && (Action::Melt === $action || $piece->has(SpanKind::Stage) || 1 === preg_match('/\bsyrup\b/i', $words))) {
                    // "jaggery 400 g, water four spoons. Melt": a syrup beside what stands.
                    array_push($this->pots->counter->waiting, ...$this->pots->counter->adding);
                    $this->pots->counter->adding = [];
                    $this->pots->streams->beginsNext = true;
                }
                $here = [] === $ids && (null === $stream->last || $this->pots->streams->beginsNext)
                    ? $this->pots->counter->waits()
                    : $ids;

                return ProcessOf::cooking(
                    $action,
                    $here,
                    $words,
                    $stream,
                    $this->pots->counter->pan(),
                    $piece->has(SpanKind::Stage) || 1 === preg_match('/\b(?:string|syrup|tacky|ball)\b/i', $words),
                );
        }
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
            1 === preg_match('/\b(?:fridge|refrigerator)\b/i', $words) => Process::Chill,
            1 === preg_match('/\b(?:in|into) the cooker\b|\bwhistle/i', $words) => Process::Pressure,
            !$isLiquid && 1 === preg_match('/\b(?:on top|over the top|over them)\b/i', $words) => Process::Garnish,
            1 === preg_match('/\b(?:tray|plate|thali|slab|moulds?)\b/i', $words)
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
        return ProcessOf::cooking(Action::Stir, [], $words, $this->pots->streams->current(), $this->pots->counter->pan(), false)
            ?? Process::Simmer;
    }
}
