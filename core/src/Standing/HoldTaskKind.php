<?php

declare(strict_types=1);

namespace FeastLadle\Standing;

/** What a dish may want while it waits for its guests. */
enum HoldTaskKind: string
{
    /** To 74 °C in the middle. It gives none of the minutes back in which it was neither hot nor cold. */
    case Reheat = 'reheat';
    case Loosen = 'loosen';
}
