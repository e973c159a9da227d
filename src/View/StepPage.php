<?php

declare(strict_types=1);

namespace App\View;

use App\Service\OpenFeast;
use FeastLadle\Cards\CardMaker;
use FeastLadle\Cards\Ready;
use FeastLadle\Explaining\StepAccount;
use FeastLadle\Explaining\StepPlace;
use FeastLadle\Explaining\StepPlaces;
use FeastLadle\Explaining\StopSign;
use FeastLadle\Explaining\StopSigns;
use FeastLadle\Larder\Larder;
use FeastLadle\Safety\Caution;
use FeastLadle\Safety\Cautions;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Words\Sentence;

/**
 * All there is to tell about one step of a plan: how long and why, why then, what goes in, what stands in the vessel.
 *
 * @phpstan-type Around array{before: list<PlannedStep>, after: list<PlannedStep>}
 */
final readonly class StepPage
{
    public function __construct(private Larder $larder, private Reckoning $reckoning)
    {
    }

    /**
     * @return array{step: PlannedStep, account: list<Sentence>, place: StepPlace|null, vessel: list<Sentence>,
     *     cautions: list<Caution>, around: Around, ready: Ready|null, stop: StopSign|null}|null null when the plan has no such step
     */
    public function of(string $id, Plan $plan, OpenFeast $open): ?array
    {
        foreach ($plan->steps as $step) {
            if ($step->key->id() === $id) {
                $flow = $step->dish->batchPlan->ledger->flow($step->step->id);

                return [
                    'step' => $step,
                    'account' => (new StepAccount($this->larder))->of($step, $open->kitchen),
                    'place' => StepPlaces::of($plan, $open->kitchen)[$step->activity] ?? null,
                    'vessel' => $this->reckoning->inTheVessel($flow, $open->kitchen->rules->fillLimits),
                    'cautions' => (new Cautions($this->larder))->of(
                        $flow,
                        $open->kitchen->rules->liftKg,
                        $open->kitchen->vessels[$step->vessels[0] ?? '']->emptyKg ?? null,
                    ),
                    'around' => $this->around($step, $plan),
                    'ready' => CardMaker::readyFor($step->dish, $step->step),
                    'stop' => $this->stop($step, $plan, $open),
                ];
            }
        }

        return null;
    }

    private function stop(PlannedStep $step, Plan $plan, OpenFeast $open): ?StopSign
    {
        foreach ((new StopSigns($this->larder))->of($plan, $open->feast, $open->kitchen) as $sign) {
            if ($sign->at->activity === $step->activity) {
                return $sign;
            }
        }

        return null;
    }

    /** @return Around the steps of the same batch that it takes from, and those that take from it */
    private function around(PlannedStep $step, Plan $plan): array
    {
        $around = ['before' => [], 'after' => []];
        foreach ($plan->steps as $other) {
            if (
                $other->key->dish !== $step->key->dish
                || (null !== $other->key->round->batch
                    && null !== $step->key->round->batch
                    && $other->key->round->batch !== $step->key->round->batch)
            ) {
                continue;
            }
            if (\in_array($other->key->step, $step->step->sources(), true)) {
                $around['before'][] = $other;
            } elseif (\in_array($step->key->step, $other->step->sources(), true)) {
                $around['after'][] = $other;
            }
        }

        return $around;
    }
}
