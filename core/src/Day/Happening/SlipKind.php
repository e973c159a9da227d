<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** What went wrong. */
enum SlipKind: string
{
    case Forgotten = 'forgotten';
    case Swapped = 'swapped';
    case OutOfOrder = 'out-of-order';
    case TooMuch = 'too-much';
    case TooLittle = 'too-little';
    case SomethingElse = 'something-else';
    case Skipped = 'skipped';
    case WentPast = 'went-past';
    case TooWet = 'too-wet';
    case TooDry = 'too-dry';
    case TooHot = 'too-hot';
    case TooCold = 'too-cold';
    case Spilt = 'spilt';
    case Dropped = 'dropped';
    case Caught = 'caught';
    case Touched = 'touched';
    case Foreign = 'foreign';
}
