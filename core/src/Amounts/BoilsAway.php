<?php

declare(strict_types=1);

namespace FeastLadle\Amounts;

use FeastLadle\Batch\BatchPlan;
use FeastLadle\Heat\Flame;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Timing\FireTimes;
use FeastLadle\Timing\StepTimer;

/**
 * A recipe says how much water boils off on its own ring while the grain softens. Here it is another pot on another fire:
 * the water put in follows
 * the power that reaches it and the minutes it takes, the mean over the fires that can do it.
 */
final class BoilsAway
{
    /**
     * @param float $scale the batch as a multiple of the recipe as written
     *
     * @return array<string, float> how many times the recipe's own boil-away, by step id
     */
    public static function here(BatchPlan $plan, float $scale, Kitchen $kitchen, StepTimer $timer): array
    {
        $times = [];
        $pots = $plan->potOfStep();
        foreach ($plan->ledger->flows as $id => $flow) {
            $step = $flow->step;
            $own = FireTimes::REFERENCE_KW * $step->work->flame->share() * $step->work->time->likelyMinutes;
            if (
                !isset($pots[$id])
                || Flame::None === $step->work->flame
                || $own <= 0
                || [] === array_filter($step->takes, static fn ($t): bool => $t->boilsOff > 0)
            ) {
                continue;
            }
            $here = [];
            foreach ($kitchen->burners as $burner) {
                $batch = $step->work->once ? $scale * $plan->batches : $scale;
                $minutes = $timer->told($flow, $pots[$id], $batch) ?? $timer->minutes($flow, $pots[$id], $batch, $burner);
                if (null !== $minutes) {
                    $fire = $timer->fire($flow, $pots[$id], $batch, $burner);
                    $here[] = $timer->onFire->netKw($flow, $pots[$id], $fire) * $minutes->exact;
                }
            }
            if ([] !== $here) {
                $times[$id] = array_sum($here) / \count($here) / $own;
            }
        }

        return $times;
    }
}
