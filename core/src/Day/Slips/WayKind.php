<?php

declare(strict_types=1);

namespace FeastLadle\Day\Slips;

/** Where a way on comes from, in the words of docs/formats/day-log.md. */
enum WayKind: string
{
    case Discard = 'discard';
    case Recipe = 'recipe';
    case Computed = 'computed';
    case School = 'school';
    case OtherSweet = 'other-sweet';
    case Smaller = 'smaller';
    case Anew = 'anew';
    case Leave = 'leave';
}
