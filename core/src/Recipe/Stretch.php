<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** In which stretch of the work a process belongs. */
enum Stretch: string
{
    case Before = 'before the fire';
    case Fire = 'on the fire';
    case After = 'after the fire';
}
