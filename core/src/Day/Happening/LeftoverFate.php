<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** What becomes of what was left. */
enum LeftoverFate: string
{
    case Kept = 'kept';
    case Reused = 'reused';
    case Thrown = 'thrown';
}
