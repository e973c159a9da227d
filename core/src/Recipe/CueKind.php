<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

enum CueKind: string
{
    case OnTheWay = 'on-the-way';
    case Done = 'done';
    case Wrong = 'wrong';
}
