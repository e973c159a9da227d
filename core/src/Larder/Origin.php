<?php

declare(strict_types=1);

namespace FeastLadle\Larder;

/** Where an ingredient comes from, as far as house rules ask. */
enum Origin: string
{
    case Plant = 'plant';
    case Dairy = 'dairy';
    /** Of an animal, but not milk: honey. */
    case Animal = 'animal';
}
