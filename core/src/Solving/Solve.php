<?php

declare(strict_types=1);

namespace FeastLadle\Solving;

use FeastLadle\Larder\Larder;
use FeastLadle\Modelling\ConflictTeller;
use FeastLadle\Modelling\Obstacle;
use FeastLadle\Modelling\ScheduleBuilder;
use FeastLadle\Modelling\ScheduleModel;
use FeastLadle\Schedule\Audit;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\Conflict;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Schedule\Solver;

/**
 * The one way from amounts to a plan: model, solve, audit, tell. Planning, explaining, trying and planning anew all go through it; what to
 * try, and which try is the better, they decide themselves.
 */
final readonly class Solve
{
    /** Enough for a home feast; small, as a cook waits for it. */
    private const LEAST_BUDGET_MS = 40;

    /** For each activity, where there are more. */
    private const BUDGET_MS_EACH = 2;

    /** When something is late after that, so many times longer is looked before saying so. */
    public const PATIENCE = 8;

    /** One answer takes no longer; from so many activities on still less, as there the building of orders itself takes long. */
    private const MOST_MS = 1500;
    public const LARGE = 130;
    private const MOST_LARGE_MS = 800;

    private const PATIENCE_QUICK = 2;

    private Allowance $allowance;

    public function __construct(private Larder $larder, ?Allowance $allowance = null)
    {
        $this->allowance = $allowance ?? Allowance::boundless();
    }

    /** The same, as long as so much more may be tried. */
    public function within(Allowance $allowance): self
    {
        return new self($this->larder, $allowance);
    }

    /**
     * Whether nothing more should be tried. Nothing stops by itself: who asks may have one question more.
     *
     * @phpstan-impure
     */
    public function hasSpent(): bool
    {
        return $this->allowance->isSpent();
    }

    public function model(Task $task): ScheduleModel
    {
        return (new ScheduleBuilder($task->feast, $task->kitchen, $this->larder, $task->quantities))->build(
            $task->notBefore,
            $task->without,
        );
    }

    /** What is usually spent on a problem of this size. */
    public static function budgetFor(Problem $problem, int $patience = self::PATIENCE): Budget
    {
        $count = \count($problem->activities);
        $once = max(self::LEAST_BUDGET_MS, self::BUDGET_MS_EACH * $count);
        $most = $count > self::LARGE ? self::MOST_LARGE_MS : self::MOST_MS;

        return Budget::milliseconds($once)->patient(min($patience, max(1, intdiv($most, $once))));
    }

    /**
     * @param list<Obstacle> $leftOut dishes that are left out, and why
     * @param Solution|null  $near    a former plan of the same beginning
     * @param bool           $stay    whether as little as may be should move from there
     */
    public function attempt(
        Task $task,
        array $leftOut = [],
        ?Budget $budget = null,
        int $seed = 1,
        ?Solution $near = null,
        int $patience = self::PATIENCE,
        bool $stay = true,
    ): Attempt {
        $task = $task->without([...$task->without, ...array_map(static fn (Obstacle $o): string => $o->dish, $leftOut)]);
        $model = $this->model($task)->withObstacles($leftOut);
        $solution = $this->solved($model->problem, $budget ?? self::budgetFor($model->problem, $patience), $seed, $near, $stay);
        if (null === $near || !$stay) {
            $solution = BatchesInTurn::of($model, $solution, array_map(strval(...), array_keys($task->feast->pins)));
        }

        return new Attempt($task->feast, $model, $this->plan($task, $model, $solution), $leftOut);
    }

    /** A quick try, from a former one where there is one, when only its answer counts. */
    public function solution(Task $task, ?Budget $budget = null, ?Solution $near = null): Solution
    {
        $problem = $this->model($task)->problem;

        return $this->solved($problem, $budget ?? self::budgetFor($problem, self::PATIENCE_QUICK), 1, $near, false);
    }

    private function solved(Problem $problem, Budget $budget, int $seed, ?Solution $near, bool $stay): Solution
    {
        $solution = (new Solver())->solve($problem, $budget, $seed, $near, $stay);
        $this->allowance->spend($budget, $problem, $solution);

        return $solution;
    }

    /**
     * @return array<string, int> minutes late by dish
     */
    public function lateness(Task $task, Budget $budget): array
    {
        $model = $this->model($task);
        $plan = $this->plan($task, $model, (new Solver())->solve($model->problem, $budget));

        return array_map(static fn (DishTiming $t): int => $t->lateMinutes, $plan->timings);
    }

    /**
     * A solution of a model, audited, as a plan; without one, a plan that says why there is none.
     *
     * @throws FailedAudit when the solution does not keep what the problem asks
     */
    public function plan(Task $task, ScheduleModel $model, Solution $solution): Plan
    {
        if (SolutionStatus::Feasible !== $solution->status) {
            return $this->none($task, $model, $solution);
        }
        self::audit($model->problem, $solution);

        return $this->tell($task, $model, $solution);
    }

    /** A solution that was audited against another form of its problem. */
    public function tell(Task $task, ScheduleModel $model, Solution $solution): Plan
    {
        return (new PlanTeller($task->feast, $task->kitchen, $this->larder))->tell(
            $task->quantities,
            $model,
            $solution,
            $model->obstacles,
        );
    }

    /** @throws FailedAudit */
    public static function audit(Problem $problem, Solution $solution): void
    {
        $faults = (new Audit())->faults($problem, $solution);
        if ([] !== $faults) {
            throw new FailedAudit('The schedule fails its audit: '.implode('; ', \array_slice($faults, 0, 3)));
        }
    }

    private function none(Task $task, ScheduleModel $model, Solution $solution): Plan
    {
        $teller = new ConflictTeller($model, $task->quantities, $task->kitchen);
        $obstacles = [...$model->obstacles, ...array_map(static fn (Conflict $c): Obstacle => $teller->tell($c), $solution->conflicts)];

        return new Plan($task->quantities, $model->problem, $solution, $model->axis->origin, [], [], $obstacles);
    }
}
