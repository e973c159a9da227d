<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Amounts\Quantities;
use FeastLadle\Explaining\MomentChance;
use FeastLadle\Explaining\MomentChances;
use FeastLadle\Feast\Feast;
use FeastLadle\Schedule\RiskReport;
use FeastLadle\Solving\DishTiming;
use FeastLadle\Solving\Plan;

/** How each moment looks from here: its chance, by how much it is late, which steps carry the risk. */
final class MomentsNow
{
    private const MOST_NAMED = 3;

    /**
     * @param Plan            $plan the day began with
     * @param Plan            $from from here on
     * @param RiskReport|null $risk of the futures from here; null where no plan goes
     *
     * @return list<MomentNow>
     */
    public static function of(Feast $feast, Plan $plan, Plan $from, ?RiskReport $risk): array
    {
        $ids = [];
        foreach ($plan->steps as $step) {
            $ids[$step->activity] = $step->key;
        }
        $moments = [];
        foreach (MomentChances::of($feast, $from, $risk)->moments as $chance) {
            $late = array_map(
                static fn (DishTiming $t): int => $t->due->getTimestamp() === $chance->moment->at->getTimestamp() ? $t->lateMinutes : 0,
                array_values($from->timings),
            );
            $blamed = [];
            foreach ($risk->blame ?? [] as $activity => $_) {
                if (isset($ids[$activity]) && \in_array($ids[$activity]->dish, self::leadingTo($chance, $from->quantities), true)) {
                    $blamed[] = $ids[$activity]->id();
                }
            }
            $moments[] = new MomentNow($chance, max([0, ...$late]), \array_slice($blamed, 0, self::MOST_NAMED));
        }

        return $moments;
    }

    /** @return list<string> the sweet that makes a moment unsure, and the bases it takes from */
    private static function leadingTo(MomentChance $chance, Quantities $quantities): array
    {
        $planned = $quantities->dishes[$chance->least ?? ''] ?? null;

        return null === $planned
            ? []
            : [
                $planned->dish->id,
                ...array_map(static fn (string $slug): string => 'base-'.$slug, array_keys($planned->batchPlan->ledger->bases())),
            ];
    }
}
