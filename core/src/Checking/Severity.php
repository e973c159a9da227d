<?php

declare(strict_types=1);

namespace FeastLadle\Checking;

enum Severity: string
{
    /** It cannot be cooked as it stands. */
    case Error = 'error';
    /** It can, but something is missing or risky. */
    case Warning = 'warning';
}
