<?php

declare(strict_types=1);

namespace FeastLadle\Menus;

use FeastLadle\Diet\DietGrid;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Explaining\FirstFit;
use FeastLadle\Explaining\MomentChances;
use FeastLadle\Feast\Dish;
use FeastLadle\Feast\Feast;
use FeastLadle\Feast\FeastDocument;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Schedule\Risk;
use FeastLadle\Solving\Plan;

/**
 * Which sweets of a book this kitchen gets done together for a feast. Each is planned alone first: what does not hold by itself holds in
 * no set, and what each takes at the least bounds every set. The sets within the bounds are planned from the least work up, those unlike
 * each other before those alike, and only what a plan proves is found.
 */
final readonly class MenuSearch
{
    /** So many are found, and at the most so many planned; each unlike the others by two sweets at first. */
    private const WANTED = 6;
    private const MOST_PLANNED = 40;

    /** Sets are made of so many sweets at the most: those with the least work. */
    private const MOST_CHOICES = 20;

    /** Other ways of a sweet that are tried where it does not hold as written. */
    private const OTHER_WAYS = 4;

    private const FUTURES = 300;

    /** For more guests a sweet counts only if it holds as its pots alone have it: looking further takes longer than somebody waits. */
    private const LARGE = 600;

    private FeastPlanner $planner;

    public function __construct(
        private FeastDocument $feast,
        private FeastReader $reader,
        private Kitchen $kitchen,
        private Larder $larder,
        private ?\DateTimeImmutable $notBefore = null,
    ) {
        $this->planner = new FeastPlanner($larder);
    }

    /**
     * @param list<array<string, mixed>> $book a row of the feast's document for each sweet there is
     * @param \Closure(): bool           $goOn asked before each plan
     *
     * @return \Generator<int, array{int, int, MenuFind|null}> done and to do, of sweets and then of sets, and what was found
     */
    public function search(MenuWish $wish, array $book, \Closure $goOn): \Generator
    {
        $choices = [];
        foreach ($book as $i => $row) {
            if (!$goOn()) {
                return;
            }
            array_push($choices, ...$this->choices($row, $wish));
            yield [$i + 1, \count($book) + self::MOST_PLANNED, null];
        }
        $planned = $found = 0;
        $seen = [];
        $missing = $this->missing($wish);
        $sets = $this->sets($missing, $choices);
        foreach ($missing->sweets > 2 ? [2, 1] : [1] as $unlike) {
            foreach ($sets as $set) {
                if ($found >= self::WANTED || $planned >= self::MOST_PLANNED) {
                    return;
                }
                $slugs = array_map(static fn (MenuChoice $c): string => $c->recipe->slug, $set);
                if (!self::isUnlike($slugs, $seen, $unlike)) {
                    continue;
                }
                if (!$goOn()) {
                    return;
                }
                $seen[] = $slugs;
                $find = $this->prove($set, $wish);
                $found += null === $find ? 0 : 1;
                yield [\count($book) + ++$planned, \count($book) + self::MOST_PLANNED, $find];
            }
        }
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return list<MenuChoice> as written and with its bases bought; another way where neither holds
     */
    private function choices(array $row, MenuWish $wish): array
    {
        $usual = $this->read([$row]);
        if (null === $usual || isset($usual->dishes[0]->recipe->base)) {
            return [];
        }
        $recipe = $usual->dishes[0]->recipe;
        $rows = [$row];
        $bought = array_keys(array_filter($recipe->bases, static fn ($b): bool => null !== $b->base?->bought));
        if ([] !== $bought) {
            $rows[] = ['bought' => $bought] + $row;
        }
        $choices = $this->thatHold($rows, $wish);
        if ([] === $choices) {
            $others = [];
            foreach ($recipe->way->schools as $school) {
                foreach ($school->options as $option) {
                    $holds = $recipe->way->options[$school->id] ?? null;
                    if (null !== $holds && $option->id !== $holds) {
                        $others[] = ['schools' => [$school->id => $option->id]] + $row;
                    }
                }
            }
            $choices = \array_slice($this->thatHold(\array_slice($others, 0, self::OTHER_WAYS), $wish), 0, 1);
        }

        return $choices;
    }

    /**
     * @param list<array<string, mixed>> $rows
     *
     * @return list<MenuChoice>
     */
    private function thatHold(array $rows, MenuWish $wish): array
    {
        $choices = [];
        foreach ($rows as $row) {
            $feast = $this->read([$row]);
            if (null === $feast || ($wish->forEverybody && !$this->isForEverybody($feast))) {
                continue;
            }
            $plan = $this->planner->glance($feast, $this->kitchen, $this->notBefore);
            if (!$plan->isOnTime() && $feast->guests() <= self::LARGE) {
                $plan = $this->planner->try($feast, $this->kitchen, $this->notBefore);
            }
            if ($plan->isOnTime() && [] !== $plan->steps) {
                $choices[] = new MenuChoice(
                    $row,
                    $feast->dishes[0]->recipe,
                    $plan->handMinutes(),
                    FirstFit::of($feast, $this->kitchen, $plan->quantities, $this->larder),
                );
            }
        }

        return $choices;
    }

    /**
     * @param list<MenuChoice> $choices
     *
     * @param MenuWish $wish what is missing
     *
     * @return list<non-empty-list<MenuChoice>> within the bounds, the least work first
     */
    private function sets(MenuWish $wish, array $choices): array
    {
        usort($choices, static fn (MenuChoice $a, MenuChoice $b): int => $a->handMinutes <=> $b->handMinutes);
        $there = array_column($this->feast->rows('dishes'), 'recipe');
        $choices = array_values(array_filter(
            $choices,
            static fn (MenuChoice $c): bool => !\in_array($c->recipe->slug, $there, true),
        ));
        // Of each kind enough: a wish for hot ones must not starve on the cheapest.
        $hot = array_filter($choices, static fn (MenuChoice $c): bool => $c->isHot());
        $rest = array_filter($choices, static fn (MenuChoice $c): bool => !$c->isHot());
        $half = intdiv(self::MOST_CHOICES, 2);
        $choices = [...\array_slice($hot, 0, max($half, self::MOST_CHOICES - \count($rest))),
            ...\array_slice($rest, 0, max($half, self::MOST_CHOICES - \count($hot)))];
        $sets = $wish->sweets < 1 ? [] : $this->more([], $choices, 0, $wish->sweets, $wish);
        usort($sets, static fn (array $a, array $b): int => self::work($a) <=> self::work($b));

        return $sets;
    }

    /**
     * @param list<MenuChoice> $set
     * @param list<MenuChoice> $choices
     *
     * @return list<non-empty-list<MenuChoice>>
     */
    private function more(array $set, array $choices, int $from, int $wanted, MenuWish $wish): array
    {
        $sets = [];
        for ($i = $from; $i < \count($choices); ++$i) {
            foreach ($set as $other) {
                if ($other->recipe->slug === $choices[$i]->recipe->slug) {
                    continue 2;
                }
            }
            $longer = [...$set, $choices[$i]];
            if (!$this->isWithinBounds($longer, $wanted, $wish)) {
                continue;
            }
            if (1 === $wanted) {
                $sets[] = $longer;
            } else {
                array_push($sets, ...$this->more($longer, $choices, $i + 1, $wanted - 1, $wish));
            }
        }

        return $sets;
    }

    /**
     * @param non-empty-list<MenuChoice> $set
     * @param int                        $wanted sweets that the set lacks, one of them being the last of it
     */
    private function isWithinBounds(array $set, int $wanted, MenuWish $wish): bool
    {
        if (null !== $wish->hot) {
            $hot = \count(array_filter($set, static fn (MenuChoice $c): bool => $c->isHot()));
            if ($hot > $wish->hot || $hot + $wanted - 1 < $wish->hot) {
                return false;
            }
        }
        if (
            null !== $wish->mostHandMinutes
            && self::work($set) > $wish->mostHandMinutes
        ) {
            return false;
        }
        foreach ($set[0]->needs as $k => $have) {
            $needs = array_sum(array_map(static fn (MenuChoice $c): float => $c->needs[$k]->needMinutes, $set));
            if ($needs > $have->haveMinutes) {
                return false;
            }
        }

        return true;
    }

    /** @param list<MenuChoice> $set */
    private static function work(array $set): int
    {
        return array_sum(array_map(static fn (MenuChoice $c): int => $c->handMinutes, $set));
    }

    /** What a menu lacks of a wish beside the sweets that stand on it. */
    private function missing(MenuWish $wish): MenuWish
    {
        $rows = $this->feast->rows('dishes');
        $there = [] === $rows ? [] : $this->read($rows)->dishes ?? [];
        $hot = \count(array_filter($there, static fn (Dish $d): bool => \in_array($d->recipe->serving, MenuChoice::HOT, true)));

        return new MenuWish(
            $wish->sweets - \count($rows),
            null === $wish->hot ? null : $wish->hot - $hot,
            $wish->mostHandMinutes,
            $wish->forEverybody,
        );
    }

    /** @param non-empty-list<MenuChoice> $set */
    private function prove(array $set, MenuWish $wish): ?MenuFind
    {
        $rows = array_map(static fn (MenuChoice $c): array => $c->row, $set);
        $feast = $this->read([...$this->feast->rows('dishes'), ...$rows]);
        if (null === $feast || !$this->planner->try($feast, $this->kitchen, $this->notBefore)->isOnTime()) {
            return null;
        }
        // What is found is planned as it will be when it is taken, with room where it helps.
        $plan = $this->planner->plan($feast, $this->kitchen, $this->notBefore);
        if (!$plan->isOnTime() || (null !== $wish->mostHandMinutes && $plan->handMinutes() > $wish->mostHandMinutes)) {
            return null;
        }

        return new MenuFind(
            $rows,
            array_map(static fn (MenuChoice $c) => $c->recipe, $set),
            $plan,
            $this->chances($feast, $plan),
        );
    }

    private function chances(Feast $feast, Plan $plan): MomentChances
    {
        return MomentChances::of($feast, $plan, Risk::of($plan->problem, $plan->solution, self::FUTURES, grace: $plan->margins));
    }

    private function isForEverybody(Feast $feast): bool
    {
        foreach ((new DietGrid($this->larder, $this->kitchen))->of($feast) as $groups) {
            if ([] !== array_filter($groups)) {
                return false;
            }
        }

        return true;
    }

    /** @param list<array<array-key, mixed>> $rows */
    private function read(array $rows): ?Feast
    {
        try {
            return $this->reader->read($this->feast->withDishes($rows)->json());
        } catch (FaultyDocument) {
            return null;
        }
    }

    /**
     * @param list<string>       $slugs
     * @param list<list<string>> $seen
     */
    private static function isUnlike(array $slugs, array $seen, int $by): bool
    {
        foreach ($seen as $other) {
            if (\count(array_diff($slugs, $other)) < $by) {
                return false;
            }
        }

        return true;
    }
}
