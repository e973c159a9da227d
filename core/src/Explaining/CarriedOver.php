<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Heat\CarryOver;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Solving\PlannedStep;

/** For how long a step goes on in its hot vessel once it is off the fire: so much sooner it is lifted, or tipped out at once. */
final class CarriedOver
{
    /** Less than that nobody can act on. */
    private const LEAST_SECONDS = 20;

    /** @return int|null seconds, in tens; null where it is not worth a word */
    public static function seconds(PlannedStep $step, Kitchen $kitchen): ?int
    {
        $excess = $step->step->process->facts()->panExcessK;
        $vessel = $kitchen->vessels[$step->vessels[0] ?? ''] ?? null;
        $burner = $kitchen->burners[$step->burner ?? ''] ?? null;
        if (null === $excess || null === $vessel || null === $burner) {
            return null;
        }
        $seconds = CarryOver::seconds($vessel->emptyKg, $vessel->metal->specificHeat(), $excess, $burner->netKw($step->flame));

        return $seconds < self::LEAST_SECONDS ? null : 10 * (int) round($seconds / 10);
    }
}
