<?php

declare(strict_types=1);

namespace FeastLadle\Feast;

enum MomentKind: string
{
    /** The first portion is set aside untouched; it cannot be late. */
    case Offering = 'offering';
    case Sitting = 'sitting';
    /** Boxes are packed and given away. */
    case Boxes = 'boxes';
}
