<?php

declare(strict_types=1);

namespace FeastLadle\Schools;

/** What a dial moves in a step. */
enum Lever: string
{
    /** The grams of one ingredient. */
    case Ingredient = 'ingredient';
    /** The minutes. */
    case Time = 'time';
    /** The value of the target. */
    case Target = 'target';
}
