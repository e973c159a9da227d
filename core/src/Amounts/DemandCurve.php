<?php

declare(strict_types=1);

namespace FeastLadle\Amounts;

use FeastLadle\Feast\Feast;
use FeastLadle\Feast\Moment;
use FeastLadle\Portion\Demand;

/** How a dish is called for over the day: staged sittings build it up, not one lump. The spare is there from the first sitting on. */
final class DemandCurve
{
    /**
     * @return list<array{of: Moment, moment: string, at: \DateTimeImmutable, now: float, soFar: float}> by time; the last
     *     holds all that is made
     */
    public static function of(Feast $feast, PlannedDish $planned): array
    {
        return self::called($feast, $planned->dish->id, $planned->demand);
    }

    /** @return list<array{of: Moment, moment: string, at: \DateTimeImmutable, now: float, soFar: float}> by time */
    public static function called(Feast $feast, string $dish, Demand $demand): array
    {
        $called = [];
        $eaten = 0.0;
        foreach ($feast->groups as $group) {
            $amount = $group->count * $group->appetite * $demand->uptake * $demand->portion->amount;
            $amount = $demand->portion->countsPieces ? ceil($amount - 1e-9) : $amount;
            $moment = $feast->momentOf($group);
            $called[$moment->id] = ($called[$moment->id] ?? 0.0) + $amount;
            $eaten += $amount;
        }
        foreach ($feast->boxes as $box) {
            $called[$box->at] = ($called[$box->at] ?? 0.0) + $box->count * ($box->holds[$dish] ?? 0.0);
        }
        $spare = $eaten * $demand->spareShare;
        $rows = [];
        $soFar = 0.0;
        foreach ($feast->moments as $moment) {
            $offered = $moment->bowls * ($demand->portion->countsPieces ? ceil($demand->portion->amount - 1e-9) : $demand->portion->amount);
            $now = ($called[$moment->id] ?? 0.0) + $offered;
            if (($called[$moment->id] ?? 0.0) > 0 && $spare > 0) {
                $now += $spare;
                $spare = 0.0;
            }
            $soFar += $now;
            $rows[] = ['of' => $moment, 'moment' => $moment->name, 'at' => $moment->at, 'now' => $now, 'soFar' => $soFar];
        }

        return $rows;
    }
}
