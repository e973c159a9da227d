<?php

declare(strict_types=1);

namespace FeastLadle\Planning;

use FeastLadle\Feast\Feast;
use FeastLadle\Heat\Burner;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Step;
use FeastLadle\Schedule\Audit;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\LinkType;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\Progress;
use FeastLadle\Schedule\Replan;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Schedule\Solver;

/** Feast and kitchen in, plan out. */
final readonly class FeastPlanner
{
    /** Enough for a home feast; small, as a cook waits for it. */
    private const LEAST_BUDGET_MS = 40;

    /** For each activity, where there are more. */
    private const BUDGET_MS_EACH = 2;

    /** On the day itself an answer is wanted at once. */
    private const REPLAN_BUDGET_MS = 150;

    /** When something is late after that, so many times longer is looked before saying so. */
    private const PATIENCE = 10;

    public function __construct(private Larder $larder)
    {
    }

    private static function budgetFor(Problem $problem): Budget
    {
        return Budget::milliseconds(max(self::LEAST_BUDGET_MS, self::BUDGET_MS_EACH * \count($problem->activities)))->patient(
            self::PATIENCE,
        );
    }

    public function quantities(Feast $feast, Kitchen $kitchen): Quantities
    {
        return (new QuantityPlanner($this->larder))->plan($feast, $kitchen);
    }

    /**
     * The schedule problem a feast comes to.
     *
     * @param list<string> $without dishes to leave out
     */
    public function draft(
        Feast $feast,
        Kitchen $kitchen,
        Quantities $quantities,
        ?\DateTimeImmutable $notBefore = null,
        array $without = [],
    ): ScheduleDraft {
        return (new ScheduleBuilder($feast, $kitchen, $this->larder, $quantities))->build($notBefore, $without);
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
        $best = $this->attempt($feast, $kitchen, $notBefore, [], $budget, $seed, $near);
        $budget ??= self::budgetFor($best->draft->problem);
        if (!$best->isFeasible()) {
            $best = $this->attempt(
                $feast,
                $kitchen,
                $notBefore,
                (new Fitting($this))->whatDoesNotFit($feast, $kitchen, $best->plan->quantities, $notBefore),
                $budget,
                $seed,
            );
        }
        if ($best->isCramped() && $feast->wishesRoom()) {
            $bare = $this->attempt($feast->atTheMinute(), $kitchen, $notBefore, [], $budget, $seed, $near);
            if (!$bare->isFeasible() && [] !== $best->leftOut) {
                $bare = $this->attempt($bare->feast, $kitchen, $notBefore, $best->leftOut, $budget, $seed);
            }
            $best = $best->orBetter($bare);
        }
        $plan = (new Lateness($this))->explain($best->plan, $best->feast, $kitchen, $best->draft, $notBefore);

        return $best->feast === $feast ? $plan : $plan->toTheMinute();
    }

    /** @param list<Obstacle> $leftOut dishes that are left out, and why */
    private function attempt(
        Feast $feast,
        Kitchen $kitchen,
        ?\DateTimeImmutable $notBefore,
        array $leftOut,
        ?Budget $budget,
        int $seed,
        ?Solution $near = null,
    ): Attempt {
        $quantities = $this->quantities($feast, $kitchen);
        $draft = $this->draft(
            $feast,
            $kitchen,
            $quantities,
            $notBefore,
            array_map(static fn (Obstacle $o): string => $o->dish, $leftOut),
        )->withObstacles($leftOut);
        $solution = (new Solver())->solve($draft->problem, $budget ?? self::budgetFor($draft->problem), $seed, $near);

        return new Attempt($feast, $draft, $this->assemble($feast, $kitchen, $quantities, $draft, $solution), $leftOut);
    }

    /** Goes on looking from a plan; null when nothing better was found in the time. */
    public function improve(Feast $feast, Kitchen $kitchen, Plan $plan, ?\DateTimeImmutable $notBefore, Budget $budget, int $seed): ?Plan
    {
        if (SolutionStatus::Feasible !== $plan->solution->status || $plan->solution->objective === $plan->solution->bound) {
            return null;
        }
        $draft = $this->draft(
            $feast,
            $kitchen,
            $plan->quantities,
            $notBefore,
            array_values(array_filter(array_map(static fn (Obstacle $o): string => $o->dish, $plan->obstacles))),
        );
        $solution = (new Solver())->solve($draft->problem, $budget, $seed, $plan->solution, false);
        if (SolutionStatus::Feasible !== $solution->status || $solution->objective >= $plan->solution->objective) {
            return null;
        }
        $better = $this->assemble($feast, $kitchen, $plan->quantities, $draft, $solution)->withObstacles($plan->obstacles);

        return (new Lateness($this))->explain($better, $feast, $kitchen, $draft, $notBefore);
    }

    /** Puts a stored solution and its problem together again, without solving. */
    public function assemble(Feast $feast, Kitchen $kitchen, Quantities $quantities, ScheduleDraft $draft, Solution $solution): Plan
    {
        $obstacles = $draft->obstacles;
        if (SolutionStatus::Feasible !== $solution->status) {
            foreach ($solution->conflicts as $conflict) {
                $obstacles[] = new Obstacle(
                    '',
                    SolutionStatus::Infeasible === $solution->status
                        ? 'No plan is possible: {conflict}.'
                        : 'No plan was found in the time allowed: {conflict}.',
                    ['conflict' => $conflict->text],
                );
            }

            return new Plan($quantities, $draft->problem, $solution, $draft->origin, [], [], $obstacles);
        }
        $this->audit($draft->problem, $solution);

        return $this->tell($feast, $kitchen, $quantities, $draft, $solution, $obstacles);
    }

    /**
     * Plans what is left at a given minute: what is done stays, what runs keeps its fire and pot, the rest moves as little as
     * it must.
     *
     * @param ScheduleDraft                                                $draft   the one that $before was made from
     * @param array<string, array{\DateTimeImmutable, \DateTimeImmutable}> $done    start and end by activity
     * @param array<string, \DateTimeImmutable>                            $running start by activity
     *
     * @return array{Plan, list<string>} the plan, and what can no longer be kept, in words
     */
    public function replan(
        Feast $feast,
        Kitchen $kitchen,
        Quantities $quantities,
        ScheduleDraft $draft,
        Solution $before,
        \DateTimeImmutable $now,
        array $done,
        array $running,
        ?Budget $budget = null,
        int $seed = 1,
    ): array {
        $done = array_map(static fn (array $d): array => [$draft->minute($d[0]), $draft->minute($d[1])], $done);
        $running = array_map($draft->minute(...), $running);
        foreach ($draft->problem->links as $link) {
            // A marker of no length goes with the step that takes the contents over.
            if (!isset($draft->steps[$link->to]) && LinkType::StartToStart === $link->type && 0 === $link->max) {
                $start = $done[$link->from][0] ?? ($running[$link->from] ?? null);
                if (null !== $start) {
                    $done[$link->to] = [$start, $start];
                }
            }
        }
        $replan = Replan::of($draft->problem, $before, new Progress($draft->minute($now), $done, $running));
        $solution = (new Solver())->solve($replan->problem, $budget ?? Budget::milliseconds(self::REPLAN_BUDGET_MS), $seed, $replan->near);
        if (SolutionStatus::Feasible !== $solution->status) {
            return [$this->assemble($feast, $kitchen, $quantities, $draft, $solution), $replan->letGo];
        }
        $this->audit($replan->problem, $solution);

        return [$this->tell($feast, $kitchen, $quantities, $draft, $replan->whole($solution), $draft->obstacles), $replan->letGo];
    }

    private function audit(Problem $problem, Solution $solution): void
    {
        $faults = (new Audit())->faults($problem, $solution);
        if ([] !== $faults) {
            throw new FailedAudit('The schedule fails its audit: '.implode('; ', \array_slice($faults, 0, 3)));
        }
    }

    /** @param list<Obstacle> $obstacles */
    private function tell(
        Feast $feast,
        Kitchen $kitchen,
        Quantities $quantities,
        ScheduleDraft $draft,
        Solution $solution,
        array $obstacles,
    ): Plan {
        $steps = [];
        $timings = [];
        $vessels = $this->vesselsByStep($quantities, $draft, $solution);
        $numbers = $this->batchNumbers($draft, $solution);
        $timer = new StepTimer($kitchen, $this->larder);
        foreach ($draft->steps as $id => $key) {
            $placement = $solution->activities[$id];
            $planned = $quantities->dishes[$key->dish];
            $step = $planned->dish->recipe->step($key->step);
            $burner = null;
            $people = [];
            foreach ($placement->uses as $uses) {
                foreach ($uses as $resource) {
                    if (isset($kitchen->burners[$resource])) {
                        $burner = $resource;
                    } elseif (isset($kitchen->people[$resource])) {
                        $people[] = $resource;
                    }
                }
            }
            $range = $draft->problem->activities[$id]->duration;
            $length = $placement->end - $placement->start;
            $steps[] = new PlannedStep(
                new StepKey($key->dish, $numbers[$key->dish][$key->batch] ?? $key->batch, $key->step),
                $planned,
                $step,
                $placement->start,
                $placement->end,
                $draft->instant($placement->start),
                $draft->instant($placement->end),
                (int) round(($length * $range->min) / max(1, $range->likely)),
                (int) round(($length * $range->max) / max(1, $range->likely)),
                $burner,
                $vessels[$key->dish.'/'.$key->batch.'/'.$key->step] ?? [],
                $people,
                $this->bowls($planned->bowls[$key->step], $draft->flows[$key->dish]->share($key->batch), $kitchen),
                $id,
                $key->batch < 0 ? $draft->flows[$key->dish]->wave($key->batch)->moment : null,
                $this->lid($planned, $step, null === $burner ? null : $kitchen->burners[$burner], $timer),
            );
            if (isset($draft->lastOf[$id])) {
                $timing = DishTiming::at($key->dish, $draft->momentOf[$id]->at, $draft->instant($placement->end));
                $timings[$key->dish] = isset($timings[$key->dish]) ? $timings[$key->dish]->tighter($timing) : $timing;
            }
        }
        usort(
            $steps,
            static fn (PlannedStep $a, PlannedStep $b): int => [$a->startMinute, $a->endMinute, $a->key->id()] <=> [
                $b->startMinute,
                $b->endMinute,
                $b->key->id(),
            ],
        );

        return new Plan(
            $quantities,
            $draft->problem,
            $solution,
            $draft->origin,
            $steps,
            $timings,
            $obstacles,
            true,
            $this->jobs($feast, $kitchen, $draft, $solution),
            $this->margins($feast, $draft),
        );
    }

    private function lid(PlannedDish $planned, Step $step, ?Burner $burner, StepTimer $timer): bool
    {
        $pot = $planned->batchPlan->potOfStep()[$step->id] ?? null;

        return null !== $pot && null !== $burner && $timer->wantsLid($planned->batchPlan->ledger->flow($step->id), $pot, $burner);
    }

    /** @return array<string, int> by activity */
    private function margins(Feast $feast, ScheduleDraft $draft): array
    {
        $margins = [];
        foreach ($draft->momentOf as $id => $moment) {
            $margins[$id] = $draft->minute($moment->at) - ($draft->problem->activities[$id]->due->at ?? $draft->minute($moment->at));
        }
        foreach ($feast->boxes as $box) {
            $margins[ScheduleBuilder::BOX.$box->id] = $feast->marginMinutes;
        }

        return $margins;
    }

    /** @return list<PlannedJob> */
    private function jobs(Feast $feast, Kitchen $kitchen, ScheduleDraft $draft, Solution $solution): array
    {
        $jobs = [];
        foreach ($feast->boxes as $box) {
            $placement = $solution->activities[ScheduleBuilder::BOX.$box->id] ?? null;
            if (null !== $placement) {
                $jobs[] = new PlannedJob(
                    $box->name,
                    $placement->start,
                    $placement->end,
                    $draft->instant($placement->start),
                    $draft->instant($placement->end),
                    array_merge(...$placement->uses),
                    null,
                    true,
                );
            }
        }
        foreach ($feast->otherWork as $work) {
            $jobs[] = new PlannedJob(
                $work->name,
                $draft->minute($work->from),
                $draft->minute($work->to),
                $work->from,
                $work->to,
                isset($kitchen->people[$work->on]) ? [$work->on] : [],
                isset($kitchen->burners[$work->on]) ? $work->on : null,
                false,
            );
        }
        usort($jobs, static fn (PlannedJob $a, PlannedJob $b): int => $a->startMinute <=> $b->startMinute);

        return $jobs;
    }

    /**
     * Of bowls that go into all batches at once, what one of several moments takes.
     *
     * @param list<MeasuredBowl> $bowls
     *
     * @return list<MeasuredBowl>
     */
    private function bowls(array $bowls, float $share, Kitchen $kitchen): array
    {
        return 1.0 === $share
            ? $bowls
            : array_map(static fn (MeasuredBowl $b): MeasuredBowl => $b->times($share, $kitchen->writer()), $bowls);
    }

    /**
     * Batches are alike to the solver; the cook counts them in the order in which they are finished.
     *
     * @return array<string, array<int, int>> by dish: the solver's number of a batch → the cook's
     */
    private function batchNumbers(ScheduleDraft $draft, Solution $solution): array
    {
        $ends = [];
        foreach ($draft->steps as $id => $key) {
            if ($key->batch > 0) {
                $ends[$key->dish][$key->batch] = max($ends[$key->dish][$key->batch] ?? \PHP_INT_MIN, $solution->activities[$id]->end);
            }
        }
        $numbers = [];
        foreach ($ends as $dish => $byBatch) {
            asort($byBatch);
            foreach (array_keys($byBatch) as $position => $batch) {
                $numbers[$dish][$batch] = $position + 1;
            }
        }

        return $numbers;
    }

    /** @return array<string, list<string>> vessel ids by dish/batch/step */
    private function vesselsByStep(Quantities $quantities, ScheduleDraft $draft, Solution $solution): array
    {
        $vessels = [];
        foreach ($draft->flows as $dish => $batchFlow) {
            $planned = $quantities->dishes[$dish];
            foreach ($planned->batchPlan->pots as $choice) {
                foreach ($batchFlow->placesOfRun($choice->run) as $batch) {
                    $hold = $planned->dish->id.'/'.$batch.'/'.$choice->run->id;
                    foreach ($choice->run->flows as $flow) {
                        $vessels[$planned->dish->id.'/'.$batch.'/'.$flow->step->id] = array_merge(
                            ...$solution->holds[$hold] ?? [[]],
                        );
                    }
                }
            }
        }

        return $vessels;
    }
}
