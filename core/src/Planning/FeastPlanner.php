<?php

declare(strict_types=1);

namespace FeastLadle\Planning;

use FeastLadle\Amounts\Quantities;
use FeastLadle\Amounts\QuantityPlanner;
use FeastLadle\Explaining\Fitting;
use FeastLadle\Explaining\Lateness;
use FeastLadle\Explaining\MomentChances;
use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Modelling\Obstacle;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\Buffering;
use FeastLadle\Schedule\Risk;
use FeastLadle\Schedule\RiskReport;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Schedule\Solver;
use FeastLadle\Solving\Allowance;
use FeastLadle\Solving\Attempt;
use FeastLadle\Solving\DishTiming;
use FeastLadle\Solving\FailedAudit;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\Solve;
use FeastLadle\Solving\Task;
use FeastLadle\Standing\Clocks;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Feast and kitchen in, plan out: what is tried, in which order, and which try is kept. */
final readonly class FeastPlanner
{
    /** So many times longer is looked while something that is only tried is late. */
    private const PATIENCE_TRYING = 3;

    /** The same before other ways of making it are looked for. */
    private const PATIENCE_FIRST = 6;

    /** By so much a former plan has to be surer before it is kept. */
    private const SURER = 0.03;

    /** For changing who does what when for more room: in a trial, in a plan for each activity, and when somebody waits for a better one. */
    private const ROOM_MS_TRYING = 120;
    private const ROOM_MS_EACH = 4;
    private const ROOM_MS_PATIENTLY = 1500;

    /**
     * What may be spent on tries before a plan is shown: a great crowd's plan is shown soon, and looked for further when somebody asks
     * for a better one.
     */
    private const PLANNING_MS = 6000;
    private const PLANNING_LARGE_MS = 1800;
    private const SEARCHING_MS = 6000;

    /** Parts of it: for each dish alone, for changing one beside the others, for finding what finds no room. */
    private const SHARE_ALONE = 0.3;
    private const SHARE_TOGETHER = 0.3;
    private const SHARE_FITTING = 0.3;

    private Solve $solve;

    public function __construct(private Larder $larder)
    {
        $this->solve = new Solve($larder);
    }

    public function quantities(Feast $feast, Kitchen $kitchen): Quantities
    {
        return (new QuantityPlanner($this->larder))->plan($feast, $kitchen);
    }

    /**
     * With room before the moments as it is wished; to the minute where that is the only way to have everything, or everything in time.
     *
     * @param Solution|null $near a former plan of the same beginning, from which as little as may be should move
     */
    public function plan(
        Feast $feast,
        Kitchen $kitchen,
        ?\DateTimeImmutable $notBefore = null,
        ?Budget $budget = null,
        int $seed = 1,
        ?Solution $near = null,
    ): Plan {
        $task = new Task($feast, $kitchen, $this->quantities($feast, $kitchen), $notBefore);
        $best = $this->best($task, $budget, $seed, $near);
        $best = $this->surer($task, $best, $seed, self::ROOM_MS_EACH * \count($best->plan->problem->activities));
        $plan = $this->explained($best, $kitchen, $notBefore);

        return $best->feast === $feast ? $plan : $plan->toTheMinute();
    }

    /**
     * What a change comes to, for whoever tries many: planned as it would be if it were kept, but looked at less long where something
     * stays late, and without asking why.
     */
    public function try(Feast $feast, Kitchen $kitchen, ?\DateTimeImmutable $notBefore = null): Plan
    {
        $task = new Task($feast, $kitchen, $this->quantities($feast, $kitchen), $notBefore);
        $best = $this->surer($task, $this->best($task, null, 1, null, self::PATIENCE_TRYING), 1, self::ROOM_MS_TRYING);

        return $best->feast === $feast ? $best->plan : $best->plan->toTheMinute();
    }

    /** As its pots alone have it, for whoever only asks whether that holds. */
    public function glance(Feast $feast, Kitchen $kitchen, ?\DateTimeImmutable $notBefore = null): Plan
    {
        $task = new Task($feast, $kitchen, $this->quantities($feast, $kitchen), $notBefore);

        return (new MakingSearch($this->larder, $this->solve))->watched($task, $this->solve->attempt($task, []))->plan;
    }

    /** Goes on looking from a plan, for a surer one first; null when nothing better was found in the time. */
    public function improve(Feast $feast, Kitchen $kitchen, Plan $plan, ?\DateTimeImmutable $notBefore, Budget $budget, int $seed): ?Plan
    {
        if (SolutionStatus::Feasible !== $plan->solution->status) {
            return null;
        }
        $out = array_values(array_filter(array_map(static fn (Obstacle $o): string => $o->dish, $plan->obstacles)));
        $task = new Task($feast, $kitchen, $plan->quantities, $notBefore, $out);
        $model = $this->solve->model($task);
        $here = new Attempt($feast, $model, $plan, $plan->obstacles);
        if (!$plan->isOnTime()) {
            $found = 1 === $seed
                ? $this->best($task->without([]), null, $seed, null, Solve::PATIENCE, self::SEARCHING_MS, $out)
                : $this->inAnotherOrder($task->without([]), $out, $seed);
            if ($here->orBetter($found) === $found) {
                return $this->explained($found, $kitchen, $notBefore);
            }
        }
        $surer = $this->surer($task, $here, $seed, self::ROOM_MS_PATIENTLY)->plan;
        if ($surer !== $plan) {
            return $surer;
        }
        if ($plan->solution->objective === $plan->solution->bound) {
            return null;
        }
        $solution = (new Solver())->solve($model->problem, $budget, $seed, $plan->solution, false);
        if (SolutionStatus::Feasible !== $solution->status || $solution->objective >= $plan->solution->objective) {
            return null;
        }
        $better = $this->solve->plan($task, $model, $solution)->withObstacles($plan->obstacles);
        if ($this->shortfall($feast, $better) > $this->shortfall($feast, $plan)) {
            return null;
        }

        return $this->watched($feast, $kitchen, (new Lateness($this->solve))->explain($better, $task, $model));
    }

    /**
     * A plan, or a former one where that still holds and is better: more fires, pots, hands or hours never make a plan worse.
     *
     * @param Plan $former of the same dishes, of this kitchen or a poorer one
     */
    public function orFormer(Feast $feast, Kitchen $kitchen, Plan $plan, Plan $former, ?\DateTimeImmutable $notBefore = null): Plan
    {
        if (SolutionStatus::Feasible !== $former->solution->status || !$this->isShort($feast, $plan)) {
            return $plan;
        }
        $out = array_values(array_filter(array_map(static fn (Obstacle $o): string => $o->dish, $former->obstacles)));
        $task = new Task($feast, $kitchen, $former->quantities, $notBefore, $out);
        try {
            $model = $this->solve->model($task);
            // With more hours the minutes may be counted from an earlier beginning.
            $sooner = intdiv($former->origin->getTimestamp() - $model->axis->origin->getTimestamp(), 60);
            $known = $this->solve->plan($task, $model, $former->solution->shifted($sooner))->withObstacles($former->obstacles);
        } catch (FailedAudit) {
            return $plan;
        }
        // How late it is follows from the feast as it is now; why, from when it was asked.
        $timings = $known->timings;
        foreach ($timings as $dish => $t) {
            $reasons = $t->lateMinutes > 0 ? $former->timings[$dish]->reasons ?? [] : [];
            $timings[$dish] = new DishTiming($t->dish, $t->ready, $t->due, $t->lateMinutes, $reasons);
        }
        $known = $this->watched($feast, $kitchen, $known->withTimings($timings));
        $kept = (new Attempt($feast, $model, $plan, []))->orBetter(new Attempt($feast, $model, $known, []))->plan;

        return $kept === $plan && $plan->isOnTime() && $this->shortfall($feast, $known) < $this->shortfall($feast, $plan) - self::SURER
            ? $known
            : $kept;
    }

    /** With why what is late is late. */
    private function explained(Attempt $attempt, Kitchen $kitchen, ?\DateTimeImmutable $notBefore): Plan
    {
        return (new Lateness($this->solve))->explain(
            $attempt->plan,
            new Task($attempt->feast, $kitchen, $attempt->plan->quantities, $notBefore),
            $attempt->model,
        );
    }

    /**
     * Dish by dish, those first that found no room, the others as the seed has it.
     *
     * @param list<string> $first
     */
    private function inAnotherOrder(Task $task, array $first, int $seed): Attempt
    {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $order = [...$first, ...$random->shuffleArray(array_map(strval(...), array_keys($task->quantities->dishes)))];
        [$out, $kept] = (new Fitting($this->solve, self::PATIENCE_FIRST))->whatDoesNotFit($task, $order);

        return (new MakingSearch($this->larder, $this->solve))->watched(
            $task,
            $this->solve->attempt($task, $out, null, $seed, $kept, Solve::PATIENCE, false),
        );
    }

    /** Whether something is not in time, or less sure than is wished. */
    public function isShort(Feast $feast, Plan $plan): bool
    {
        return !$plan->isOnTime() || $this->shortfall($feast, $plan) > 0.0;
    }

    /** By how much the moments of a plan are less sure than is wished. */
    private function shortfall(Feast $feast, Plan $plan): float
    {
        return MomentChances::of($feast, $plan, Risk::of($plan->problem, $plan->solution, grace: $plan->margins))->shortfall();
    }

    /** With what must not be served as it is planned. */
    private function watched(Feast $feast, Kitchen $kitchen, Plan $plan): Plan
    {
        return (new Clocks($this->larder))->watch($feast, $plan, $kitchen);
    }

    /** With room where it helps, until the moments are as sure as is wished; the same where that makes none of them surer. */
    private function surer(Task $task, Attempt $attempt, int $seed, int $milliseconds): Attempt
    {
        $plan = $attempt->plan;
        if (!$attempt->isFeasible() || !$plan->isOnTime() || [] === $plan->steps) {
            return $attempt;
        }
        $solution = (new Buffering(
            $plan->problem,
            static fn (RiskReport $r): float => MomentChances::of($attempt->feast, $plan, $r)->shortfall(),
            $plan->margins,
            Budget::milliseconds($milliseconds),
        ))->surer($plan->solution, $seed);
        if ($solution === $plan->solution) {
            return $attempt;
        }
        $task = new Task($attempt->feast, $task->kitchen, $plan->quantities, $task->notBefore);
        $surer = $attempt->with($this->watched($attempt->feast, $task->kitchen, $this->solve->plan($task, $attempt->model, $solution)));

        return $surer->plan->isOnTime() ? $surer : $attempt;
    }

    /**
     * The best try that was found, with what must not be served as it is planned.
     *
     * @param list<string> $first dishes that look for room before the others, if not all of them find it
     */
    private function best(
        Task $task,
        ?Budget $budget,
        int $seed,
        ?Solution $near,
        int $patience = Solve::PATIENCE,
        ?int $milliseconds = null,
        array $first = [],
    ): Attempt {
        $trying = self::PATIENCE_TRYING === $patience;
        $allowance = Allowance::milliseconds($milliseconds ?? self::PLANNING_MS);
        $solve = $this->solve->within($allowance);
        $searching = fn (float $share): MakingSearch => new MakingSearch(
            $this->larder,
            $solve->within($allowance->part($share)),
            $trying ? MakingSearch::TRYING : MakingSearch::PLANNING,
        );
        $search = $searching(1.0);
        $bounded = null === $milliseconds;
        $try = static function (Task $task, int $patience) use ($search, $solve, $allowance, $budget, $seed, $near, $bounded): Attempt {
            $attempt = $solve->attempt($task, [], $budget, $seed, $near, $patience);
            if ($bounded && \count($attempt->plan->problem->activities) > Solve::LARGE) {
                $allowance->limit(self::PLANNING_LARGE_MS);
            }

            return $search->watched($task, $attempt);
        };
        $usual = $task->by($task->feast->atTheMinute());
        $best = $try($task, min(2 * $patience, self::PATIENCE_FIRST));
        if (!$search->isTroubled($best)) {
            return $best;
        }
        $alone = $searching(self::SHARE_ALONE)->ofEachAlone($task, $best);
        if ($alone->quantities->making !== $task->quantities->making) {
            $task = $alone;
            $best = $try($task, self::PATIENCE_FIRST);
        }
        $bare = $task->by($task->feast->atTheMinute());
        if ($search->isTroubled($best) && $task->feast->wishesRoom() && !$solve->hasSpent()) {
            $best = $best->orBetter($try($bare, $patience));
        }
        if ($search->isTroubled($best)) {
            $where = $task->by($best->feast);
            $together = $searching(self::SHARE_TOGETHER)->ofAllTogether($where, $best);
            $best = $together === $where ? $best : $best->orBetter($try($together, $patience));
            $task = $best->plan->quantities->making === $together->quantities->making ? $together : $where;
        }
        if (!$best->isFeasible()) {
            [$out, $kept] = (new Fitting($solve->within($allowance->part(self::SHARE_FITTING))))->whatDoesNotFit($task, $first);
            $best = $search->watched($task, $solve->attempt($task, $out, $budget, $seed, $kept, $patience, false));
            // Who only tries many would wait too long for it.
            if (!$trying && $best->isFeasible()) {
                $best = (new Fitting($solve))->explained($task, $search->withRoomForMore($usual, $best));
            }
        }

        return $best;
    }
}
