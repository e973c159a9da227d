<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

enum TokenKind
{
    case Word;
    case Number;
    case Fraction;
    case Sign;
}
