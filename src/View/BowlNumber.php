<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Amounts\MeasuredBowl;
use FeastLadle\Solving\PlannedStep;

/** Which of a recipe's bowls a measured one is. */
final class BowlNumber
{
    /** Its number in the recipe's document, from 1; null where another step or a vessel brings it. */
    public static function of(PlannedStep $step, MeasuredBowl $bowl): ?int
    {
        $number = null;
        foreach ($step->step->takes as $take) {
            if ($take->ingredient === $bowl->ingredient->id && (null === $number || abs($take->grams - $bowl->baseGrams) < 1e-6)) {
                $number = $take->place + 1;
            }
        }

        return $number;
    }
}
