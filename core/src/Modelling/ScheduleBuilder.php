<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

use FeastLadle\Amounts\BatchFlow;
use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Amounts\Quantities;
use FeastLadle\Batch\LayerLoad;
use FeastLadle\Batch\NoPot;
use FeastLadle\Feast\Feast;
use FeastLadle\Flow\HeatedWet;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Growth;
use FeastLadle\Recipe\Step;
use FeastLadle\Schedule\Activity;
use FeastLadle\Schedule\Hold;
use FeastLadle\Schedule\Objective;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\Resource;
use FeastLadle\Timing\StepTimer;

/**
 * Turns a feast with its quantities into a schedule problem: a resource for each fire, vessel and person and for the cold
 * space; an activity for each step of each batch; links for what takes from what and for ties; a hold for each vessel while
 * its contents are in it.
 */
final readonly class ScheduleBuilder
{
    private StepNeeds $stepNeeds;

    private VesselNeeds $vesselNeeds;

    private ModelParts $parts;

    public function __construct(private Feast $feast, private Kitchen $kitchen, private Larder $larder, private Quantities $quantities)
    {
        $timer = new StepTimer($kitchen, $larder);
        $this->stepNeeds = new StepNeeds($feast, $kitchen, $larder, $timer, $quantities->making);
        $this->vesselNeeds = new VesselNeeds($kitchen, $larder, $timer, $quantities->making);
        $this->parts = new ModelParts();
    }

    /**
     * @param \DateTimeImmutable|null $notBefore nothing may start earlier, when the day has begun
     * @param list<string>            $without   dishes to leave out
     */
    public function build(?\DateTimeImmutable $notBefore = null, array $without = []): ScheduleModel
    {
        $axis = TimeAxis::of($this->feast, $notBefore);
        $activities = new StepActivities($this->feast, $axis, $this->parts);
        $links = new StepLinks($this->stepNeeds, $this->parts, $this->quantities->making);
        $holds = new VesselHolds($this->vesselNeeds, $axis, $this->parts);
        foreach ($this->wanted($without) as $planned) {
            $this->dish($planned, $activities, $links, $holds);
        }
        $packing = new Packing($this->feast, $axis, $this->parts);
        foreach ($this->feast->boxes as $box) {
            $packing->add($box);
        }
        $problem = new Problem(
            0,
            $axis->horizonEnd,
            60,
            (new Resources($this->feast, $this->kitchen, $axis))->all(),
            $this->parts->activities,
            $this->parts->links,
            $this->parts->holds,
            Objective::justInTime(),
        );

        return ScheduleModel::of($problem, $axis, $this->parts);
    }

    /**
     * @param list<string> $without
     *
     * @return list<PlannedDish> each after the bases it takes from; bases that nobody takes are left out
     */
    private function wanted(array $without): array
    {
        $wanted = [];
        $add = function (PlannedDish $planned) use (&$add, &$wanted): void {
            foreach (array_keys($planned->batchPlan->ledger->bases()) as $slug) {
                // A base that stands ready in the pantry is not planned.
                if (isset($this->quantities->dishes['base-'.$slug])) {
                    $add($this->quantities->dishes['base-'.$slug]);
                }
            }
            $wanted[$planned->dish->id] = $planned;
        };
        foreach ($this->quantities->dishes as $planned) {
            if (!$planned->dish->isBase && !\in_array($planned->dish->id, $without, true)) {
                $add($planned);
            }
        }

        return array_values($wanted);
    }

    private function noVessel(string $dish, NoPot $missing): Obstacle
    {
        $fry = $missing->run->frying();
        if (null !== $fry && $missing->neededBrimMl <= 0.0) {
            return new Obstacle(
                $dish,
                'What "{step}" fries does not come in pieces: shape it in a step before.',
                ['step' => $fry->title],
                ObstacleKind::Stage,
                $fry->id,
            );
        }
        $first = $missing->run->flows[0];
        if (LayerLoad::isLaid($first)) {
            return new Obstacle(
                $dish,
                'No {kind} is wide enough for a piece of "{step}", {width} mm across.',
                ['kind' => $missing->run->kind->value, 'step' => $first->step->title, 'width' => round($first->pieceWidthMm ?? 0.0)],
                ObstacleKind::Vessel,
                $first->step->id,
            );
        }
        $step = $missing->run->fullest->step;

        return new Obstacle(
            $dish,
            'No {kind} holds "{step}": it needs {needed} litres to the brim, the largest holds {largest}.',
            [
                'kind' => $missing->run->kind->value,
                'step' => $step->title,
                'needed' => round($missing->neededBrimMl / 1000, 1),
                'largest' => round($missing->largestBrimMl / 1000, 1),
            ],
            ObstacleKind::Vessel,
            $step->id,
        );
    }

    /** A drink of plants that stands in for milk is not boiled down like it. */
    private function reducesWhatSplits(PlannedDish $planned): ?Obstacle
    {
        foreach ($planned->batchPlan->ledger->flows as $flow) {
            $most = $flow->taken->splitsAbove($this->larder);
            if (null === $most || Growth::BoilOff !== $flow->step->work->time->growth || $flow->waterOff <= 0.0) {
                continue;
            }
            foreach (array_keys($flow->taken->grams) as $id) {
                if ($this->larder->get($id)->mostCelsius === $most) {
                    return new Obstacle(
                        $planned->dish->id,
                        '"{step}" would boil {name} down, which splits above {most} °C. Take another way of the recipe, or another sweet.',
                        ['step' => $flow->step->title, 'name' => $this->larder->get($id)->name, 'most' => round($most)],
                        ObstacleKind::Heat,
                        $flow->step->id,
                    );
                }
            }
        }

        return null;
    }

    private function dish(PlannedDish $planned, StepActivities $activities, StepLinks $links, VesselHolds $holds): void
    {
        $dish = $planned->dish;
        if (!$planned->canBeCooked()) {
            foreach ($planned->batchPlan->missing as $missing) {
                $this->parts->obstacles[] = $this->noVessel($dish->id, $missing);
            }

            return;
        }
        foreach (array_keys($planned->batchPlan->ledger->bases()) as $slug) {
            if (isset($this->quantities->dishes['base-'.$slug]) && !isset($this->parts->built['base-'.$slug])) {
                $this->parts->obstacles[] = new Obstacle(
                    $dish->id,
                    'It takes from "{base}", which can\'t be made here. Buy it, or mend that first.',
                    ['base' => $dish->recipe->bases[$slug]->name],
                );

                return;
            }
        }
        $splits = $this->reducesWhatSplits($planned);
        if (null !== $splits) {
            $this->parts->obstacles[] = $splits;

            return;
        }
        $heated = new HeatedWet($dish->recipe, $planned->batchPlan->ledger, $this->larder);
        $found = $this->stepNeeds->of($planned);
        if ($found instanceof Obstacle) {
            $this->parts->obstacles[] = $found;

            return;
        }
        [$needs, $ranges] = $found;
        $flow = $this->parts->flows[$dish->id] = BatchFlow::of($this->feast, $planned);
        $lastMinutes = $ranges[$dish->recipe->lastStep]->likely;
        foreach ($dish->recipe->steps as $step) {
            foreach ($flow->rounds($step) as $round) {
                $share = match ($step->work->time->growth) {
                    Growth::Fixed, Growth::Warmth => 1.0,
                    Growth::Mass => $flow->share($round) ** $step->work->time->power,
                    default => $flow->share($round),
                };
                $activities->add(
                    $planned,
                    $step,
                    $round,
                    $ranges[$step->id]->times($share),
                    $activities->forRound($needs[$step->id], $planned, $round, $share),
                    $lastMinutes,
                );
            }
        }
        foreach ($dish->recipe->steps as $step) {
            foreach ($flow->rounds($step) as $round) {
                $links->add($planned, $step, $round, $ranges, $heated);
            }
        }
        $this->parts->built[$dish->id] = $planned;
        foreach ($planned->batchPlan->pots as $choice) {
            $holds->add($planned, $choice, $flow->roundsOfRun($choice->run));
        }
    }
}
