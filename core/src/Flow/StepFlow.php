<?php

declare(strict_types=1);

namespace FeastLadle\Flow;

use FeastLadle\Recipe\Step;

/** What passes through a step in one batch (or in the one go, for a step done once). */
final readonly class StepFlow
{
    /**
     * @param Contents   $taken     all that enters, before anything leaves
     * @param Contents   $gives     what is there at the end
     * @param float      $waterOff  grams of water that leave in the step
     * @param float      $fatDrunk  grams of frying fat that the pieces take up
     * @param float      $fullestMl the most that stands in the vessel, hot; frying fat not counted
     * @param list<Bowl> $bowls     ingredients in the order they enter; frying fat not counted
     */
    public function __construct(
        public Step $step,
        public Contents $taken,
        public Contents $gives,
        public float $waterOff,
        public float $fatDrunk,
        public float $fullestMl,
        public array $bowls,
    ) {
    }
}
