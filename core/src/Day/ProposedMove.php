<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Solving\PlannedStep;

/** A step that a proposal would put elsewhere. */
final readonly class ProposedMove
{
    public function __construct(public PlannedStep $from, public PlannedStep $to)
    {
    }
}
