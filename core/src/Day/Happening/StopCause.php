<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** Why everything stops. */
enum StopCause: string
{
    case Burn = 'burn';
    case Fire = 'fire';
    case Gas = 'gas';
    case Other = 'other';
}
