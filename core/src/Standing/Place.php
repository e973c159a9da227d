<?php

declare(strict_types=1);

namespace FeastLadle\Standing;

/** Where food stands while nobody works on it. */
enum Place: string
{
    case Fire = 'fire';
    /** A hot box, a bed of embers, a warm oven. */
    case Warm = 'warm';
    case Cold = 'cold';
    case Room = 'room';
    case Drying = 'drying';
}
