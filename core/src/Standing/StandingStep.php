<?php

declare(strict_types=1);

namespace FeastLadle\Standing;

use FeastLadle\Flow\Contents;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Solving\PlannedStep;

/** A round of a step with what really stands in it: its own amounts, as warm as the minutes before have left them. */
final readonly class StandingStep
{
    /**
     * @param float             $share    of one doing of the step: less than 1 where it is done for one of several moments
     * @param Contents          $in       all that enters; half of a reserve, frying fat counted
     * @param Contents          $gives    what there is at the end, frying fat not counted
     * @param Contents          $fatLeft  that remains in the pan
     * @param list<Entering>    $enters   in the order in which it goes in
     * @param list<VesselLevel> $levels   one for each vessel that is used
     * @param float             $netKw    that reaches what stands in it; 0 without a fire
     * @param list<Reading>     $readings of what was heated wet, from the end of its first heating on; empty while nothing was
     */
    public function __construct(
        public PlannedStep $planned,
        public StepFlow $flow,
        public float $share,
        public Contents $in,
        public Contents $gives,
        public Contents $fatLeft,
        public array $enters,
        public array $levels,
        public float $netKw,
        public array $readings,
    ) {
    }

    public function waterOffGrams(): float
    {
        return $this->share * $this->flow->waterOff;
    }

    public function wasteGrams(): float
    {
        return $this->share * $this->flow->waste;
    }

    /** What a later step finds: all of it, or one output; as warm as all is at the end. */
    public function given(?string $output): Contents
    {
        return null === $output
            ? $this->gives
            : $this->flow->given($output)->share($this->share)->withCelsius($this->gives->celsius);
    }
}
