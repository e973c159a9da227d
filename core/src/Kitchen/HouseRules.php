<?php

declare(strict_types=1);

namespace FeastLadle\Kitchen;

use FeastLadle\Vessel\FillLimits;
use FeastLadle\Vessel\Lifting;

/** What this house allows: things left out, how much one lifts, how full a pot may be, when it is tasted. */
final readonly class HouseRules
{
    /**
     * @param array<string, IngredientRule> $ingredients
     * @param float                         $liftKg      what one person may lift here
     */
    public function __construct(
        public array $ingredients = [],
        public float $liftKg = Lifting::DEFAULT_LIMIT_KG,
        public FillLimits $fillLimits = new FillLimits(),
        public Tasting $tasting = Tasting::AfterTheOffering,
    ) {
    }
}
