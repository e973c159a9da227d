<?php

declare(strict_types=1);

namespace FeastLadle\Batch;

use FeastLadle\Recipe\Step;
use FeastLadle\Vessel\Lifting;
use FeastLadle\Vessel\Vessel;

/** What goes from one vessel into another: how heavy, how hot, who lifts, and what room is left. */
final readonly class Pour
{
    /**
     * @param float $liftKg pot and all that stands in it
     * @param float $roomMl under the limit of the vessel it goes into, when all is in
     */
    public function __construct(
        public Step $step,
        public Vessel $from,
        public Vessel $into,
        public float $liftKg,
        public float $celsius,
        public Lifting $who,
        public float $roomMl,
    ) {
    }
}
