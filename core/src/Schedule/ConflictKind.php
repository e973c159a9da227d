<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** What kind of thing stands in the way. */
enum ConflictKind: string
{
    /** An activity fits no time at all. */
    case Window = 'window';
    /** Links leave no time. */
    case Link = 'link';
    /** A need by itself asks for more than there is. */
    case Need = 'need';
    /** No opening is long enough. */
    case Calendar = 'calendar';
    /** Too much is wanted of a resource. */
    case Resource = 'resource';
    /** Holds must lie on the same few resources at once. */
    case Hold = 'hold';
    /** No order goes: all were tried. */
    case Search = 'search';
    /** The work that was allowed is done. */
    case Budget = 'budget';
}
