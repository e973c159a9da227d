<?php

declare(strict_types=1);

namespace FeastLadle\Batch;

use FeastLadle\Larder\Larder;
use FeastLadle\Vessel\Lifting;

/** All pours of one batch: where a step takes over what stands in another vessel. */
final class Pours
{
    /** From here on it scalds: half of what two can lift. */
    private const SCALDING = 70.0;

    /** @return list<Pour> in flow order */
    public static function of(BatchPlan $plan, Larder $larder, float $liftKg): array
    {
        $pots = $plan->potOfStep();
        $pours = [];
        foreach ($plan->ledger->flows as $id => $flow) {
            $into = $pots[$id] ?? null;
            foreach ($flow->step->sources() as $source) {
                $from = $pots[$source] ?? null;
                if (null === $into || null === $from || $from->run->id === $into->run->id) {
                    continue;
                }
                $standing = $plan->ledger->flow($source)->gives;
                $kg = $from->vessel()->emptyKg + $standing->massGrams() / \count($from->vessels) / 1000;
                $pours[] = new Pour(
                    $flow->step,
                    $from->vessel(),
                    $into->vessel(),
                    $kg,
                    $standing->celsius,
                    Lifting::of($kg, $liftKg, $standing->celsius >= self::SCALDING),
                    $into->limitMl() - $into->fullestMl,
                );
            }
        }

        return $pours;
    }
}
