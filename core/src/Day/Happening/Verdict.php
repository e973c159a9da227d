<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** What a tongue says. */
enum Verdict: string
{
    case Right = 'right';
    case TooSweet = 'too-sweet';
    case NotSweet = 'not-sweet';
    case Thick = 'thick';
    case Thin = 'thin';
    case Raw = 'raw';
    case Other = 'other';
}
