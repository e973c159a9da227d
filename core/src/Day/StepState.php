<?php

declare(strict_types=1);

namespace FeastLadle\Day;

/** How far a step has got. */
enum StepState: string
{
    case NotYet = 'not-yet';
    /** All it takes is there, and its hands, fire and vessels are free. */
    case CanBegin = 'can-begin';
    case Running = 'running';
    case Done = 'done';
    case GivenUp = 'given-up';

    /** Whether nobody works at it any more. */
    public function isOver(): bool
    {
        return self::Done === $this || self::GivenUp === $this;
    }
}
