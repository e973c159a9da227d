<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

/** Which step of which batch of which dish: the id of an activity. Batch 0 is a step done once for all batches; minus
 * one, two ... one done for the batches of the first moment, the second ... */
final readonly class StepKey
{
    public function __construct(public string $dish, public int $batch, public string $step)
    {
    }

    public function id(): string
    {
        return $this->dish.'/'.$this->batch.'/'.$this->step;
    }
}
