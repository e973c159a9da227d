<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** What spoils a thing that keeps. */
enum KeepingEnemy: string
{
    case Damp = 'damp';
    case Ants = 'ants';
    case Smells = 'smells';
    case Light = 'light';
    case Warmth = 'warmth';
    case Air = 'air';
}
