<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** How a sweet is eaten: how loose it must be on the plate follows from it. */
enum EatingWay: string
{
    case Spooned = 'spooned';
    /** Poured into a bowl, drunk almost. */
    case Ladled = 'ladled';
    /** Taken up with bread. */
    case Dipped = 'dipped';
    /** Cut, or held in the fingers. */
    case Cut = 'cut';
}
