<?php

declare(strict_types=1);

namespace FeastLadle\Planning;

use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Schedule\Audit;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Schedule\Solver;

/** Feast and kitchen in, plan out. */
final readonly class FeastPlanner
{
    /** Enough for a home feast; small, as a cook waits for it. */
    public const DEFAULT_BUDGET_MS = 30;

    /** When something is late after that, so much longer is looked before saying so. */
    private const PATIENCE = 10;

    public function __construct(private Larder $larder)
    {
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
    public function draft(Feast $feast, Kitchen $kitchen, Quantities $quantities, ?\DateTimeImmutable $notBefore = null, array $without = []): ScheduleDraft
    {
        return (new ScheduleBuilder($feast, $kitchen, $this->larder, $quantities))->build($notBefore, $without);
    }

    public function plan(Feast $feast, Kitchen $kitchen, ?\DateTimeImmutable $notBefore = null, ?Budget $budget = null, int $seed = 1): Plan
    {
        $budget ??= Budget::milliseconds(self::DEFAULT_BUDGET_MS);
        $quantities = $this->quantities($feast, $kitchen);
        $draft = $this->draft($feast, $kitchen, $quantities, $notBefore);
        $solution = (new Solver())->solve($draft->problem, $budget, $seed);
        $first = $this->assemble($feast, $kitchen, $quantities, $draft, $solution);
        if (SolutionStatus::Unknown === $solution->status || $first->isLate()) {
            $budget = $budget->times(self::PATIENCE);
            $solution = (new Solver())->solve($draft->problem, $budget, $seed);
        }
        $leftOut = [];
        if (SolutionStatus::Feasible !== $solution->status) {
            $leftOut = (new Fitting($this))->whatDoesNotFit($feast, $kitchen, $quantities, $notBefore);
            $draft = $this->draft($feast, $kitchen, $quantities, $notBefore, array_map(static fn (Obstacle $o): string => $o->dish, $leftOut));
            $solution = (new Solver())->solve($draft->problem, $budget, $seed);
        }
        $draft = new ScheduleDraft($draft->problem, $draft->origin, $draft->steps, $draft->lastOf, [...$draft->obstacles, ...$leftOut]);
        $plan = $this->assemble($feast, $kitchen, $quantities, $draft, $solution);

        return (new Lateness($this))->explain($plan, $feast, $kitchen, $draft, $notBefore);
    }

    /** Puts a stored solution and its problem together again, without solving. */
    public function assemble(Feast $feast, Kitchen $kitchen, Quantities $quantities, ScheduleDraft $draft, Solution $solution): Plan
    {
        $obstacles = $draft->obstacles;
        if (SolutionStatus::Feasible !== $solution->status) {
            foreach ($solution->conflicts as $conflict) {
                $obstacles[] = new Obstacle('', SolutionStatus::Infeasible === $solution->status ? 'No plan is possible: {conflict}.' : 'No plan was found in the time allowed: {conflict}.', ['conflict' => $conflict->text]);
            }

            return new Plan($quantities, $draft->problem, $solution, $draft->origin, [], [], $obstacles);
        }
        $faults = (new Audit())->faults($draft->problem, $solution);
        if ([] !== $faults) {
            throw new \LogicException('The schedule fails its audit: '.implode('; ', \array_slice($faults, 0, 3)));
        }
        $steps = [];
        $timings = [];
        $vessels = $this->vesselsByStep($quantities, $solution);
        $numbers = $this->batchNumbers($draft, $solution);
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
                new StepKey($key->dish, $numbers[$key->dish][$key->batch] ?? $key->batch, $key->step), $planned, $step, $placement->start, $placement->end, $draft->instant($placement->start), $draft->instant($placement->end),
                (int) round($length * $range->min / max(1, $range->likely)), (int) round($length * $range->max / max(1, $range->likely)),
                $burner, $vessels[$key->dish.'/'.$key->batch.'/'.$key->step] ?? [], $people, $planned->bowls[$key->step],
            );
            if (isset($draft->lastOf[$id])) {
                $due = $feast->firstMoment()->at;
                $ready = $draft->instant($placement->end);
                if (!isset($timings[$key->dish]) || $ready > $timings[$key->dish]->ready) {
                    $timings[$key->dish] = new DishTiming($key->dish, $ready, $due, max(0, intdiv($ready->getTimestamp() - $due->getTimestamp(), 60)), []);
                }
            }
        }
        usort($steps, static fn (PlannedStep $a, PlannedStep $b): int => [$a->startMinute, $a->endMinute, $a->key->id()] <=> [$b->startMinute, $b->endMinute, $b->key->id()]);

        return new Plan($quantities, $draft->problem, $solution, $draft->origin, $steps, $timings, $obstacles);
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
    private function vesselsByStep(Quantities $quantities, Solution $solution): array
    {
        $vessels = [];
        foreach ($quantities->dishes as $planned) {
            foreach ($planned->batchPlan->pots as $choice) {
                foreach ($choice->run->isOnce() ? [0] : range(1, $planned->batchPlan->batches) as $batch) {
                    $hold = $planned->dish->id.'/'.$batch.'/'.$choice->run->id;
                    foreach ($choice->run->flows as $flow) {
                        $vessels[$planned->dish->id.'/'.$batch.'/'.$flow->step->id] = array_merge(...($solution->holds[$hold] ?? [[]]));
                    }
                }
            }
        }

        return $vessels;
    }
}
