<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** What was told and stands ready: listed before anything was done, or added and not yet cooked. */
final class Counter
{
    /** So small a share of what was listed is no amount of its own. */
    private const CRUMBS = 0.15;

    /** @var list<ToldAmount> told before anything was done with them, and not yet used */
    public array $waiting = [];

    /** @var list<ToldAmount> what was added and not yet cooked */
    public array $adding = [];

    public int $addedIn = -10;

    public bool $addedByVerb = false;

    /** @var array{int, int} tokens of what was added */
    public array $addedAt = [0, 0];

    /** @var list<ToldAmount> fat that was set to heat and waits for what is fried in it */
    public array $fat = [];

    public bool $isDeep = false;

    /** @var array<int, int> sentences by the token where an amount begins */
    public array $heardIn = [];

    /**
     * @param int|null $in only what was told in this sentence
     *
     * @return list<string> what was added and not yet cooked, by ids or names
     */
    public function added(?int $in = null): array
    {
        $isIn = fn (ToldAmount $a): bool => null === $in || ($this->heardIn[$a->first] ?? $in) === $in;

        return array_values(array_map(static fn (ToldAmount $a): string => $a->key(), array_filter($this->adding, $isIn)));
    }

    /** Whether what is being added is a sweet thing in water, and nothing else. */
    public function addsSyrup(): bool
    {
        $added = $this->added();

        return \in_array('water', $added, true)
            && [] !== array_intersect($added, ProcessOf::SWEET)
            && [] === array_diff($added, ProcessOf::SWEET, ['water']);
    }

    /** Whether sugar or jaggery alone was put into a pan, with a little fat at most. */
    public function addsSweetAlone(): bool
    {
        $solid = array_filter($this->added(), static fn (string $id): bool => !ProcessOf::isFat($id) && 'water' !== $id);

        return [] !== $solid && [] === array_diff($solid, ProcessOf::SWEET);
    }

    /** Whether what was told last and stands in no pot yet is a fat. */
    public function endsWithFat(): bool
    {
        $all = [] !== $this->adding ? $this->adding : $this->waiting;

        return [] !== $all && ProcessOf::isFat($all[\count($all) - 1]->thing->id ?? '');
    }

    public function addsOnlyFat(): bool
    {
        return [] === array_filter($this->adding, static fn (ToldAmount $a): bool => !ProcessOf::isFat($a->thing->id ?? ''));
    }

    /** @return list<string> ids of what waits */
    public function waits(): array
    {
        return array_values(array_filter(array_map(static fn (ToldAmount $a): ?string => $a->thing?->id, $this->waiting)));
    }

    /**
     * "You roast the peanuts first. A pound of peanuts, ...": the amount of what went in before.
     *
     * @param list<ToldAmount> $own
     *
     * @return list<ToldAmount> the others
     */
    public function toldLater(array $own, ?ToldStep $last): array
    {
        foreach ($own as $k => $amount) {
            foreach ($last->amounts ?? [] as $n => $known) {
                if ($known->key() === $amount->key() && !$known->isTold && null !== $last) {
                    if ($amount->isTold) {
                        $last->amounts = array_values(array_replace($last->amounts, [$n => $amount]));
                    }
                    unset($own[$k]);
                    break;
                }
            }
        }

        return array_values($own);
    }

    /** @param int|null $in only what was told in this sentence */
    public function listAdded(?int $in): void
    {
        $here = array_filter($this->adding, fn (ToldAmount $a): bool => null === $in || ($this->heardIn[$a->first] ?? $in) === $in);
        $this->adding = array_values(array_diff_key($this->adding, $here));
        $this->list(array_values($here));
    }

    /** @param list<ToldAmount> $own what is only named gives way to its amount */
    public function list(array $own): void
    {
        foreach ($own as $amount) {
            $others = [];
            foreach ($this->waiting as $known) {
                if ($known->key() === $amount->key() && (!$known->isTold || !$amount->isTold)) {
                    $amount = $amount->isTold ? $amount : $known;
                } else {
                    $others[] = $known;
                }
            }
            $this->waiting = [...$others, $amount];
        }
    }

    /** @param list<ToldAmount> $fat */
    public function heatFat(array $fat, bool $isDeep): void
    {
        array_push($this->fat, ...$this->known($fat));
        $this->isDeep = $isDeep || [] !== array_filter($fat, static fn (ToldAmount $a): bool => 'frying-oil' === $a->key());
    }

    /** @return list<ToldAmount> what was listed for a syrup */
    public function takeSweet(Streams $streams): array
    {
        $sweet = $rest = [];
        if ([] !== array_intersect($this->added(), ProcessOf::SWEET)) {
            array_push($this->waiting, ...$this->adding);
            $this->adding = [];
            $streams->beginsNext = $streams->beginsNext
                || [] !== array_diff($streams->current()->holds, ProcessOf::SWEET, ProcessOf::SEASONING);
        }
        foreach ($this->waiting as $amount) {
            if (\in_array($amount->key(), [...ProcessOf::SWEET, ...ProcessOf::SEASONING], true)) {
                $sweet[] = $amount;
            } else {
                $rest[] = $amount;
            }
        }
        $this->waiting = $rest;

        return $sweet;
    }

    /** @return list<ToldAmount> what was told in this sentence and is in no pot yet, taken for the step that follows */
    public function takeHere(int $sentence, int $most = 9, int $before = \PHP_INT_MAX): array
    {
        $isHere = fn (ToldAmount $a): bool => $a->first >= 0 && $a->first < $before
            && ($this->heardIn[$a->first] ?? -1) === $sentence;
        $here = [...array_filter($this->adding, $isHere), ...array_filter($this->waiting, $isHere)];
        if (\count($here) > $most) {
            return [];
        }
        $this->adding = array_values(array_filter($this->adding, static fn (ToldAmount $a): bool => !$isHere($a)));
        $this->waiting = array_values(array_filter($this->waiting, static fn (ToldAmount $a): bool => !$isHere($a)));

        return $here;
    }

    /** @return list<ToldAmount> what was named last in this sentence and is in no pot yet, taken back */
    public function namedLast(int $sentence): array
    {
        if ([] !== $this->adding && $this->addedIn === $sentence) {
            return [array_pop($this->adding)];
        }
        $last = array_pop($this->waiting);

        return null === $last ? [] : [$last];
    }

    /**
     * Things that are named without an amount get the one that was listed for them.
     *
     * @param list<ToldAmount> $own
     *
     * @return list<ToldAmount>
     */
    public function known(array $own): array
    {
        foreach ($own as $k => $amount) {
            if ($amount->isTold) {
                $this->useUp($amount);
                continue;
            }
            foreach ($this->adding as $n => $added) {
                if ($added->key() === $amount->key() && $added->isTold) {
                    $own[$k] = $added;
                    $this->adding = self::without($this->adding, $n);
                    continue 2;
                }
            }
            foreach ($this->waiting as $n => $listed) {
                $isIt = null !== $listed->thing && null !== $amount->thing && ($listed->thing->id === $amount->thing->id
                    || 1 === preg_match('/\b'.preg_quote($amount->named, '/').'$/iu', $listed->named));
                if ($isIt) {
                    $own[$k] = $listed;
                    $this->waiting = self::without($this->waiting, $n);
                    break;
                }
            }
        }

        return $own;
    }

    /** What is told again where it goes in is a part of what was listed, or all of it. */
    public function useUp(ToldAmount $amount): void
    {
        foreach ($this->waiting as $n => $listed) {
            if ($listed === $amount || $listed->key() !== $amount->key()) {
                continue;
            }
            $left = null === $listed->grams || null === $amount->grams ? 0.0 : $listed->grams - $amount->grams;
            if (null === $listed->grams || $left <= self::CRUMBS * $listed->grams) {
                $this->waiting = self::without($this->waiting, $n);
            } else {
                $this->waiting = array_values(array_replace($this->waiting, [$n => $listed->less($amount->grams ?? 0.0)]));
            }

            return;
        }
    }

    /** @return array{bool, bool} whether fat stands hot in the pan, and deep enough to fry in */
    public function pan(): array
    {
        return [[] !== $this->fat, $this->isDeep];
    }

    /**
     * @param list<ToldAmount> $amounts
     *
     * @return list<ToldAmount>
     */
    private static function without(array $amounts, int $place): array
    {
        unset($amounts[$place]);

        return array_values($amounts);
    }
}
