<?php

declare(strict_types=1);

namespace FeastLadle\Solving;

use FeastLadle\Amounts\MeasuredBowl;
use FeastLadle\Amounts\Quantities;
use FeastLadle\Amounts\Round;
use FeastLadle\Feast\Feast;
use FeastLadle\Heat\Flame;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Modelling\Obstacle;
use FeastLadle\Modelling\ObstacleKind;
use FeastLadle\Modelling\Packing;
use FeastLadle\Modelling\ScheduleModel;
use FeastLadle\Modelling\StepKey;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\Solver;
use FeastLadle\Timing\StepTimer;

/** A solution read back into the kitchen's words: which step of which batch, on which fire, in which pot, by whose hands. */
final readonly class PlanTeller
{
    public function __construct(private Feast $feast, private Kitchen $kitchen, private Larder $larder)
    {
    }

    /** @param list<Obstacle> $obstacles */
    public function tell(Quantities $quantities, ScheduleModel $model, Solution $solution, array $obstacles): Plan
    {
        $steps = [];
        $timings = [];
        $vessels = $this->vesselsByStep($quantities, $model, $solution);
        $numbers = $this->batchNumbers($model, $solution);
        $timer = new StepTimer($this->kitchen, $this->larder);
        foreach ($model->steps as $id => $key) {
            $placement = $solution->activities[$id];
            $planned = $quantities->dishes[$key->dish];
            $step = $planned->dish->recipe->step($key->step);
            $burner = null;
            $people = [];
            foreach ($placement->uses as $uses) {
                foreach ($uses as $resource) {
                    if (isset($this->kitchen->burners[$resource])) {
                        // The first is its own; hot fat may stand on another.
                        $burner ??= $resource;
                    } elseif (isset($this->kitchen->people[$resource])) {
                        $people[] = $resource;
                    }
                }
            }
            $pots = $planned->batchPlan->potOfStep();
            $fire =
                null === $burner || !isset($pots[$step->id])
                    ? null
                    : $timer->fire(
                        $planned->batchPlan->ledger->flow($step->id),
                        $pots[$step->id],
                        $planned->scaleOf($step),
                        $this->kitchen->burners[$burner],
                    );
            $range = $model->problem->activities[$id]->duration;
            $length = $placement->end - $placement->start;
            $steps[] = new PlannedStep(
                new StepKey($key->dish, $numbers[$key->dish][$key->round->id()] ?? $key->round, $key->step),
                $planned,
                $step,
                $placement->start,
                $placement->end,
                $model->axis->instant($placement->start),
                $model->axis->instant($placement->end),
                (int) round(($length * $range->min) / max(1, $range->likely)),
                (int) round(($length * $range->max) / max(1, $range->likely)),
                $burner,
                $vessels[$key->id()] ?? [],
                $people,
                $this->bowls($planned->bowls[$key->step], $model->flows[$key->dish]->share($key->round)),
                $id,
                null === $key->round->wave ? null : $model->flows[$key->dish]->wave($key->round)->moment,
                null === $fire ? Flame::None : $fire->flame,
                null !== $fire && $timer->onFire->wantsLid($planned->batchPlan->ledger->flow($step->id), $pots[$step->id], $fire),
            );
            if (isset($model->lastOf[$id])) {
                $timing = DishTiming::at($key->dish, $model->momentOf[$id]->at, $model->axis->instant($placement->end));
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
            $model->problem,
            $solution,
            $model->axis->origin,
            $steps,
            $timings,
            $obstacles,
            true,
            $this->jobs($model, $solution),
            $this->margins($model),
            overruns: $this->overruns($quantities, $model, $solution),
        );
    }

    /** @return list<Overrun> the widest of each two steps */
    private function overruns(Quantities $quantities, ScheduleModel $model, Solution $solution): array
    {
        $overruns = [];
        foreach ($model->windows as $window) {
            $over = $window->overrun($solution);
            $from = $model->steps[$window->from] ?? null;
            $to = $model->steps[$window->to] ?? null;
            if (0 === $over || null === $from || null === $to) {
                continue;
            }
            $which = $from->dish.'/'.$from->step.'/'.$to->step;
            if ($over <= ($overruns[$which]->minutes ?? 0)) {
                continue;
            }
            $recipe = $quantities->dishes[$to->dish]->dish->recipe;
            $overruns[$which] = new Overrun(new Obstacle(
                $to->dish,
                $window->ofItsEnd
                    ? '"{step}" is done {over} min too late after "{before}", for which there are {most} min.'
                    : '"{step}" begins {over} min too late after "{before}", which should wait {most} min at the most.',
                [
                    'step' => $recipe->step($to->step)->title,
                    'before' => $recipe->step($from->step)->title,
                    'over' => $over,
                    'most' => $window->minutes,
                ],
                ObstacleKind::Window,
                $to->step,
            ), $over);
        }

        return array_values($overruns);
    }

    /** @return array<string, int> by activity */
    private function margins(ScheduleModel $model): array
    {
        $margins = [];
        foreach ($model->momentOf as $id => $moment) {
            $margins[$id] =
                $model->axis->minute($moment->at) - ($model->problem->activities[$id]->due->at ?? $model->axis->minute($moment->at));
        }
        foreach ($this->feast->boxes as $box) {
            $margins[Packing::BOX.$box->id] = $this->feast->marginMinutes;
        }

        return $margins;
    }

    /** @return list<PlannedJob> */
    private function jobs(ScheduleModel $model, Solution $solution): array
    {
        $jobs = [];
        foreach ($this->feast->boxes as $box) {
            $placement = $solution->activities[Packing::BOX.$box->id] ?? null;
            if (null !== $placement) {
                $jobs[] = new PlannedJob(
                    $box->name,
                    $placement->start,
                    $placement->end,
                    $model->axis->instant($placement->start),
                    $model->axis->instant($placement->end),
                    array_merge(...$placement->uses),
                    null,
                    true,
                    Packing::BOX.$box->id,
                );
            }
        }
        foreach ($this->feast->otherWork as $work) {
            $jobs[] = new PlannedJob(
                $work->name,
                $model->axis->minute($work->from),
                $model->axis->minute($work->to),
                $work->from,
                $work->to,
                isset($this->kitchen->people[$work->on]) ? [$work->on] : [],
                isset($this->kitchen->burners[$work->on]) ? $work->on : null,
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
    private function bowls(array $bowls, float $share): array
    {
        return 1.0 === $share
            ? $bowls
            : array_map(fn (MeasuredBowl $b): MeasuredBowl => $b->times($share, $this->kitchen->measures->writer()), $bowls);
    }

    /**
     * Batches are alike to the solver; the cook counts them in the order in which they are finished.
     *
     * @return array<string, array<string, Round>> by dish and the solver's round: the cook's
     */
    private function batchNumbers(ScheduleModel $model, Solution $solution): array
    {
        $ends = [];
        foreach ($model->steps as $id => $key) {
            if (null !== $key->round->batch) {
                $ends[$key->dish][$key->round->batch] = max(
                    $ends[$key->dish][$key->round->batch] ?? \PHP_INT_MIN,
                    $solution->activities[$id]->end,
                );
            }
        }
        $numbers = [];
        foreach ($ends as $dish => $byBatch) {
            asort($byBatch);
            foreach (array_keys($byBatch) as $position => $batch) {
                $numbers[$dish][Round::ofBatch($batch)->id()] = Round::ofBatch($position + 1);
            }
        }

        return $numbers;
    }

    /** @return array<string, list<string>> vessel ids by step key */
    private function vesselsByStep(Quantities $quantities, ScheduleModel $model, Solution $solution): array
    {
        $vessels = [];
        foreach ($model->flows as $dish => $batchFlow) {
            $planned = $quantities->dishes[$dish];
            foreach ($planned->batchPlan->pots as $choice) {
                foreach ($batchFlow->roundsOfRun($choice->run) as $round) {
                    $hold = (new StepKey($planned->dish->id, $round, $choice->run->id))->id();
                    foreach ($choice->run->flows as $flow) {
                        $key = new StepKey($planned->dish->id, $round, $flow->step->id);
                        $vessels[$key->id()] = array_merge(...$solution->holds[$hold] ?? [[]]);
                    }
                }
            }
        }

        return $vessels;
    }
}
