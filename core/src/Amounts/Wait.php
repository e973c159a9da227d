<?php

declare(strict_types=1);

namespace FeastLadle\Amounts;

/** How long a soak, rest or drying of told minutes is planned: between its least and its most the recipe leaves it open. */
enum Wait: string
{
    case Least = 'least';
    case Usual = 'usual';
    case Most = 'most';
}
