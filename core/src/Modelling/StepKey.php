<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

use FeastLadle\Amounts\Round;

/** Which round of which step of which dish: the id of an activity. */
final readonly class StepKey
{
    public function __construct(public string $dish, public Round $round, public string $step)
    {
    }

    /** dish/round/step, as "basundi/2/reduce". */
    public function id(): string
    {
        return $this->dish.'/'.$this->round->id().'/'.$this->step;
    }
}
