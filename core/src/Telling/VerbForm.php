<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

enum VerbForm
{
    /** "roast it", "you roast it" */
    case Plain;
    /** "it boils" */
    case Does;
    /** "roasted" */
    case Done;
    /** "roasting" */
    case Going;
}
