<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Solving\PlannedStep;

/** A step in this minute: how far it is, and where it stands in the plan from here. */
final readonly class StepNow
{
    /** @param Remaining|null $left while it runs */
    public function __construct(public PlannedStep $planned, public StepProgress $progress, public ?Remaining $left)
    {
    }

    public function id(): string
    {
        return $this->planned->key->id();
    }
}
