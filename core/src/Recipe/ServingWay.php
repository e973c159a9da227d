<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** How a dish comes to the plate; the hotter, the less it may wait. */
enum ServingWay: string
{
    case Hot = 'hot';
    case Warm = 'warm';
    case Room = 'room';
    case Cold = 'cold';
}
