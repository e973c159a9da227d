<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

enum KeepingPlace: string
{
    case Shelf = 'shelf';
    case Cold = 'cold';
    case Warm = 'warm';
}
