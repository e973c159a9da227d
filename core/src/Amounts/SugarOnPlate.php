<?php

declare(strict_types=1);

namespace FeastLadle\Amounts;

use FeastLadle\Larder\Larder;

/** Grams of added sugar for a grown-up: in a portion of each dish, and on the plate by the share who take it. */
final readonly class SugarOnPlate
{
    /** @param array<string, float> $inPortion by dish */
    private function __construct(public array $inPortion, public float $onPlate)
    {
    }

    public static function of(Quantities $quantities, Larder $larder): self
    {
        $inPortion = [];
        $onPlate = 0.0;
        foreach ($quantities->dishes as $dish => $planned) {
            $gives = $planned->batchPlan->ledger->flow($planned->dish->recipe->lastStep)->gives;
            $inPortion[$dish] =
                $gives->massGrams() > 0 ? ($gives->addedSugarGrams($larder) / $gives->massGrams()) * $planned->portionGrams : 0.0;
            $onPlate += $planned->dish->isBase ? 0.0 : $inPortion[$dish] * $planned->demand->uptake;
        }

        return new self($inPortion, $onPlate);
    }
}
