<?php

declare(strict_types=1);

namespace FeastLadle\Standing;

/** Where food stands while nobody works on it. */
enum Place: string
{
    case Fire = 'fire';
    case Cold = 'cold';
    case Room = 'room';
    case Drying = 'drying';
}
