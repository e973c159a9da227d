<?php

declare(strict_types=1);

namespace FeastLadle\Planning;

use FeastLadle\Amounts\Making;
use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Amounts\QuantityPlanner;
use FeastLadle\Amounts\Wait;
use FeastLadle\Larder\Larder;
use FeastLadle\Modelling\Obstacle;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Solving\Attempt;
use FeastLadle\Solving\DishTiming;
use FeastLadle\Solving\Overrun;
use FeastLadle\Solving\Solve;
use FeastLadle\Solving\Task;
use FeastLadle\Standing\Clocks;

/**
 * Where a menu does not hold as its pots alone would have it: looks for the dish that is to blame, and from the least change up for
 * how many share its handwork, how long it stands, in how many batches it is made, until it holds. Each answer was planned.
 */
final readonly class MakingSearch
{
    /** So many batches more than the pots ask for are tried. */
    private const MOST_MORE = 4;
    private const MOST_MORE_OF_BOTH = 2;

    /** Windows are overrun by as little as is found, where nothing else holds. */
    private const STRETCHES = [1.5, 2.0, 4.0, \INF];

    /** For one answer, of a dish alone and of a whole menu with each of its steps. */
    private const ALONE_MS = 20;
    private const EACH_MS = 1;

    /** Answers that are asked of dishes alone, and of a whole menu, when somebody waits for a plan; and for what is only tried. */
    public const PLANNING = [32, 5];
    public const TRYING = [8, 0];

    /** Long looks for a dish that found no room beside the others, and how much longer each is. */
    private const BESIDE = 2;
    private const PATIENCE_BESIDE = 3;

    private Clocks $clocks;

    /** @param array{int, int} $answers PLANNING or TRYING */
    public function __construct(private Larder $larder, private Solve $solve, private array $answers = self::PLANNING)
    {
        $this->clocks = new Clocks($larder);
    }

    /** Whether a try whose clocks were looked at does not hold: no plan, a dish out or late, a clock broken. */
    public function isTroubled(Attempt $attempt): bool
    {
        return !$attempt->isFeasible() || !$attempt->plan->isOnTime();
    }

    /** A try with what must not be served as it is planned. */
    public function watched(Task $task, Attempt $attempt): Attempt
    {
        return $attempt->isFeasible() ? $attempt->with($this->clocks->watch($task->feast, $attempt->plan, $task->kitchen)) : $attempt;
    }

    /** The task with each dish to blame made as it holds best by itself; itself, where nothing better was found. */
    public function ofEachAlone(Task $task, Attempt $tried): Task
    {
        $all = $this->dishes($task);
        $tries = $this->answers[0];
        foreach ($this->culprits($tried, $all) as $dish) {
            $others = [...$task->without, ...array_values(array_diff($all, [$dish]))];
            $task = $task->ofAmounts($this->better($task->without($others), $dish, $tries, true)->quantities);
        }

        return $task;
    }

    /** The task with the dishes to blame made as they hold best beside the others. */
    public function ofAllTogether(Task $task, Attempt $tried): Task
    {
        $tries = $this->answers[1];
        $all = $this->dishes($task);
        foreach (\count($all) < 2 || $tries < 1 ? [] : $this->culprits($tried, $all) as $dish) {
            $task = $this->solve->hasSpent() ? $task : $this->better($task, $dish, $tries, false);
        }

        return $task;
    }

    /**
     * A try with those dishes, too, that only found no room beside the others, each made as it finds some: late, but there.
     *
     * @param Attempt $tried feasible without what it leaves out
     */
    public function withRoomForMore(Task $task, Attempt $tried): Attempt
    {
        foreach ($tried->leftOut as $obstacle) {
            if (Attempt::NO_ROOM !== $obstacle->sentence->id || $this->solve->hasSpent()) {
                continue;
            }
            $tries = self::BESIDE;
            $out = array_values(array_filter($tried->leftOut, static fn (Obstacle $o): bool => $o !== $obstacle));
            foreach ([$task->quantities->making, ...$this->ways($task, $obstacle->dish)] as $making) {
                $beside = $this->made($task, $making);
                $attempt = $this->watched($beside, $this->solve->attempt($beside, $out, null, 1, null, self::PATIENCE_BESIDE));
                if ($attempt->isFeasible()) {
                    [$task, $tried] = [$beside, $attempt];
                    break;
                }
                // What is proven not to go was no long look.
                if ((SolutionStatus::Infeasible !== $attempt->plan->solution->status && --$tries < 1) || $this->solve->hasSpent()) {
                    break;
                }
            }
        }

        return $tried;
    }

    /** @return list<string> ids of dishes that are wanted for themselves */
    private function dishes(Task $task): array
    {
        $all = array_keys(array_filter($task->quantities->dishes, static fn (PlannedDish $d): bool => !$d->dish->isBase));

        return array_values(array_diff(array_map(strval(...), $all), $task->without));
    }

    /**
     * @param list<string> $all
     *
     * @return list<string>
     */
    private function culprits(Attempt $attempt, array $all): array
    {
        if (!$attempt->isFeasible()) {
            return $all;
        }
        $plan = $attempt->plan;
        $late = array_filter($plan->timings, static fn (DishTiming $t): bool => $t->lateMinutes > 0);
        $broken = array_map(static fn (Obstacle $o): string => $o->dish, [
            ...$plan->clocks,
            ...array_map(static fn (Overrun $o): Obstacle => $o->obstacle, $plan->overruns),
        ]);

        return array_values(array_unique(array_intersect([...array_map(strval(...), array_keys($late)), ...$broken], $all)));
    }

    /**
     * @param int  $tries     answers that may still be asked
     * @param bool $stretches whether windows are overrun where nothing else holds
     */
    private function better(Task $task, string $dish, int &$tries, bool $stretches): Task
    {
        $best = $task;
        $least = $this->lacks($this->ask($task));
        foreach ($this->ways($task, $dish) as $making) {
            if ([0, 0, 0, 0] === $least || --$tries < 0 || $this->solve->hasSpent()) {
                break;
            }
            [$best, $least] = $this->orBetter($best, $least, $this->made($task, $making));
        }
        foreach ($stretches && $least[0] > 0 && self::PLANNING === $this->answers ? self::STRETCHES : [] as $times) {
            foreach ([0, 1, 2] as $more) {
                $making = $task->quantities->making->stretching($dish, $times);
                $making = 0 === $more ? $making : $making->ofBatches($dish, $task->quantities->dishes[$dish]->batchPlan->batches + $more);
                [$best, $least] = $this->orBetter($best, $least, $this->made($task, $making));
                if (0 === $least[0]) {
                    break 2;
                }
            }
        }

        return $best;
    }

    /**
     * @param array{int, int, int, int} $least
     *
     * @return array{Task, array{int, int, int, int}}
     */
    private function orBetter(Task $best, array $least, Task $other): array
    {
        $lacks = $this->lacks($this->ask($other));

        return $lacks < $least ? [$other, $lacks] : [$best, $least];
    }

    private function made(Task $task, Making $making): Task
    {
        return $task->ofAmounts(
            $making->batches === $task->quantities->making->batches
                ? $task->quantities->madeBy($making)
                : (new QuantityPlanner($this->larder))->plan($task->feast, $task->kitchen, $making),
        );
    }

    /** @return iterable<Making> from the least change up: of the dish, then of what it takes from, then of both */
    private function ways(Task $task, string $dish): iterable
    {
        $usual = $task->quantities->making;
        yield $usual->byHands($dish, 2);
        yield $usual->byHands($dish, 1);
        $bases = $this->bases($task, $dish);
        foreach ([$dish, ...$bases] as $id) {
            yield from $this->waysOf($usual, $id, $task->quantities->dishes[$id]);
        }
        foreach ([] === $bases ? [] : range(0, self::MOST_MORE_OF_BOTH) as $more) {
            $making = $usual;
            foreach ([$dish, ...$bases] as $id) {
                $making = $making->inSlowerPotsToo($id)->ofBatches($id, $task->quantities->dishes[$id]->batchPlan->batches + $more);
            }
            yield $making;
        }
    }

    /** @return list<string> ids of the bases that a dish takes from and that are made here */
    private function bases(Task $task, string $dish): array
    {
        $bases = [];
        foreach (array_keys($task->quantities->dishes[$dish]->batchPlan->ledger->bases()) as $slug) {
            if (isset($task->quantities->dishes['base-'.$slug])) {
                $bases[] = 'base-'.$slug;
            }
        }

        return $bases;
    }

    /** @return iterable<Making> */
    private function waysOf(Making $usual, string $id, PlannedDish $planned): iterable
    {
        $stands = [] !== array_filter($planned->dish->recipe->steps, static fn ($s): bool => $s->standsAlone());
        $batches = $planned->batchPlan->batches;
        foreach ($stands ? [Wait::Least, Wait::Most] : [] as $wait) {
            yield $usual->waiting($id, $wait);
        }
        if ($batches > 1) {
            yield $usual->inSlowerPotsToo($id);
        }
        for ($more = 1; $more <= self::MOST_MORE; ++$more) {
            $making = $usual->ofBatches($id, $batches + $more);
            yield $making;
            yield $making->inSlowerPotsToo($id);
            if ($more <= 2) {
                yield $making->byHands($id, 2);
            }
            foreach ($stands && 1 === $more ? [Wait::Least, Wait::Most] : [] as $wait) {
                yield $making->waiting($id, $wait);
            }
        }
    }

    private function ask(Task $task): Attempt
    {
        $steps = 0;
        foreach ($task->quantities->dishes as $id => $planned) {
            $steps += \in_array($id, $task->without, true) ? 0 : \count($planned->dish->recipe->steps) * $planned->batchPlan->batches;
        }

        return $this->watched($task, $this->solve->attempt($task, [], Budget::milliseconds(self::ALONE_MS + self::EACH_MS * $steps)));
    }

    /** @return array{int, int, int, int} without a plan or a dish; clocks broken; minutes by which windows are overrun; minutes late */
    private function lacks(Attempt $attempt): array
    {
        if (!$attempt->isFeasible()) {
            return [1, 0, 0, 0];
        }
        $plan = $attempt->plan;

        return [
            \count($plan->obstacles),
            \count($plan->clocks),
            array_sum(array_map(static fn (Overrun $o): int => $o->minutes, $plan->overruns)),
            array_sum(array_map(static fn (DishTiming $t): int => $t->lateMinutes, $plan->timings)),
        ];
    }
}
