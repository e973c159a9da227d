<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

/** What was given more of. */
enum MendKind: string
{
    case Fire = 'fire';
    case Vessel = 'vessel';
    case Hands = 'hands';
    case Hours = 'hours';
    case DayBefore = 'day-before';
}
