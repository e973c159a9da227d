<?php

declare(strict_types=1);

namespace FeastLadle\Planning;

use FeastLadle\Explaining\MomentChances;
use FeastLadle\Feast\Feast;
use FeastLadle\Larder\Larder;
use FeastLadle\Modelling\ScheduleModel;
use FeastLadle\Schedule\Activity;
use FeastLadle\Schedule\Audit;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\Buffering;
use FeastLadle\Schedule\LinkType;
use FeastLadle\Schedule\NearTiming;
use FeastLadle\Schedule\Placement;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\Progress;
use FeastLadle\Schedule\Replan;
use FeastLadle\Schedule\RightShift;
use FeastLadle\Schedule\RiskReport;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Schedule\SolutionTimeline;
use FeastLadle\Schedule\Solver;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\Solve;
use FeastLadle\Solving\Task;
use FeastLadle\Standing\Clocks;

/** Plans what is left at a given minute: what is done stays, what runs keeps its fire and pot, the rest moves as little as it must. */
final readonly class Replanner
{
    /** On the day itself an answer is wanted at once. */
    private const BUDGET_MS = 50;

    private Solve $solve;

    public function __construct(private Larder $larder)
    {
        $this->solve = new Solve($larder);
    }

    public function model(Task $task): ScheduleModel
    {
        return $this->solve->model($task);
    }

    /**
     * @param ScheduleModel                                                $model   the one that $before was made from
     * @param array<string, array{\DateTimeImmutable, \DateTimeImmutable}> $done    start and end by activity
     * @param array<string, \DateTimeImmutable>                            $running start by activity
     * @param array<string, int>                                           $left    minutes that running ones still take, where known
     * @param array<string, int>                                           $lasts   minutes of what is not begun, where not as planned
     *
     * @return array{Plan, list<string>, bool} the plan, what can no longer be kept, in words, and whether what is not begun only waits
     */
    public function replan(
        Task $task,
        ScheduleModel $model,
        Solution $before,
        \DateTimeImmutable $now,
        array $done,
        array $running,
        ?Budget $budget = null,
        int $seed = 1,
        array $left = [],
        array $lasts = [],
    ): array {
        $done = array_map(static fn (array $d): array => [$model->axis->minutePassed($d[0]), $model->axis->minutePassed($d[1])], $done);
        $running = array_map($model->axis->minutePassed(...), $running);
        foreach ($model->problem->links as $link) {
            // A marker goes with the step whose start it marks.
            if (!isset($model->steps[$link->to]) && LinkType::StartToStart === $link->type && 0 === $link->max) {
                $start = $done[$link->from][0] ?? $running[$link->from] ?? null;
                $end = ($start ?? 0) + $model->problem->activities[$link->to]->duration->likely;
                if (null !== $start && $end <= $model->axis->minutePassed($now)) {
                    $done[$link->to] = [$start, $end];
                } elseif (null !== $start) {
                    $running[$link->to] = $start;
                }
            }
        }
        $replan = Replan::of($model->problem, $before, new Progress($model->axis->minutePassed($now), $done, $running, $left, $lasts));
        [$stands, $waits] = self::standing($replan);
        $budget ??= Budget::milliseconds(self::BUDGET_MS);
        $solution = $stands ?? (new Solver())->solve($replan->problem, $budget, $seed, $replan->near);
        if (SolutionStatus::Feasible !== $solution->status) {
            return [$this->solve->plan($task, $model, $solution), $replan->letGo, false];
        }
        Solve::audit($replan->problem, $solution);
        $plan = $this->solve->tell($task, $model, $replan->whole($solution));
        if (null === $stands && $plan->isOnTime()) {
            // What the solver has put off without need goes back to where everybody knows it.
            $near = NearTiming::of($replan->problem, $solution, $replan->near);
            $near = null !== $near && [] === (new Audit())->faults($replan->problem, $near) ? $near : $solution;
            $roomy = $this->withRoom($task->feast, $plan, $replan->problem, $near, $seed);
            $plan = $roomy === $solution ? $plan : $this->solve->tell($task, $model, $replan->whole($roomy));
        }

        return [(new Clocks($this->larder))->watch($task->feast, $plan, $task->kitchen), $replan->letGo, $waits];
    }

    /** What was planned anew gets room behind its steps again, its turns kept. */
    private function withRoom(Feast $feast, Plan $plan, Problem $problem, Solution $solution, int $seed): Solution
    {
        $shortfall = static fn (RiskReport $r): float => MomentChances::of($feast, $plan, $r)->shortfall();

        return (new Buffering($problem, $shortfall, $plan->margins, Budget::milliseconds(0)))->surer($solution, $seed);
    }

    /**
     * The former plan, its turns and its room kept, what must wait a little later: nobody is told anything new without need.
     *
     * @return array{Solution|null, bool} and whether what is not begun only waits for what is before it
     */
    private static function standing(Replan $replan): array
    {
        $left = static fn (Solution $of): Solution => new Solution(
            SolutionStatus::Feasible,
            null,
            null,
            array_intersect_key($of->activities, $replan->problem->activities),
            array_intersect_key($of->holds, $replan->problem->holds),
            $of->seed,
            [],
            0,
        );
        $solution = $left($replan->near);
        // What was to begin already begins now.
        $now = array_map(
            static fn (Activity $a): Placement => self::notBefore($solution->activities[$a->id], $a->earliestStart),
            $replan->problem->activities,
        );
        $shifted = RightShift::of($replan->problem, $left($replan->asTold()), $solution->placing($now));
        if (null === $shifted) {
            return [null, false];
        }
        if (!self::isLate($replan, $shifted)) {
            $shifted = $shifted->costing(SolutionTimeline::objective($replan->problem, $shifted));
            if ([] === (new Audit())->faults($replan->problem, $shifted)) {
                return [$shifted, true];
            }
        }
        $near = NearTiming::of($replan->problem, $shifted);

        return [null !== $near && [] === (new Audit())->faults($replan->problem, $near) ? $near : null, false];
    }

    private static function notBefore(Placement $placement, int $earliest): Placement
    {
        $later = max(0, $earliest - $placement->start);

        return new Placement($placement->start + $later, $placement->end + $later, $placement->uses);
    }

    /** Something late may be made less late. */
    private static function isLate(Replan $replan, Solution $solution): bool
    {
        foreach ($replan->problem->due() as $id => $activity) {
            if ($activity->late($solution->activities[$id]->end) > 0) {
                return true;
            }
        }

        return false;
    }
}
