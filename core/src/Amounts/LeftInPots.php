<?php

declare(strict_types=1);

namespace FeastLadle\Amounts;

use FeastLadle\Larder\Larder;

/** What a menu leaves over on the way: frying fat after what the pieces drank, syrup that was not drunk, whey, what stays in the cloth. */
final class LeftInPots
{
    private const WORTH_KEEPING = 20.0;

    /** @return list<array{dish: PlannedDish, what: string, grams: float, drunk: float}> drunk: of the fat */
    public static function of(Quantities $quantities, Larder $larder): array
    {
        $left = [];
        foreach ($quantities->dishes as $planned) {
            foreach ($planned->batchPlan->ledger->flows as $flow) {
                $times = $flow->step->work->times($planned->batchPlan->batches);
                $waste = $flow->waste * $times;
                if ($waste >= self::WORTH_KEEPING && '' !== $flow->step->gives->leaving->what) {
                    $left[] = ['dish' => $planned, 'what' => $flow->step->gives->leaving->what, 'grams' => $waste, 'drunk' => 0.0];
                }
            }
            foreach ($planned->batchPlan->pots as $choice) {
                $step = $choice->run->frying();
                $fat = $step?->fryingFat();
                if (null !== $step && null !== $choice->frying && null !== $fat?->ingredient) {
                    $drunk =
                        $planned->batchPlan->ledger->flow($step->id)->fatDrunk * $step->work->times($planned->batchPlan->batches);
                    $measured = $planned->measured[$fat->ingredient] ?? 0.0;
                    $left[] = [
                        'dish' => $planned,
                        'what' => $larder->get($fat->ingredient)->name,
                        'grams' => max(0.0, $measured - $drunk),
                        'drunk' => $drunk,
                    ];
                }
            }
        }

        return $left;
    }
}
