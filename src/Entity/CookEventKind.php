<?php

declare(strict_types=1);

namespace App\Entity;

enum CookEventKind: string
{
    case Done = 'done';
    case Undone = 'undone';
}
