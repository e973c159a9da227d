<?php

declare(strict_types=1);

namespace App\Service;

use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

/** A change was made to something that has changed since it was shown; it was not stored. */
final class ChangedMeanwhile extends ConflictHttpException
{
    public static function feast(): self
    {
        return new self(
            'This feast was changed elsewhere while you worked. Nothing was stored: look at your entries and send them again.',
        );
    }

    public static function kitchen(): self
    {
        return new self(
            'This kitchen was changed elsewhere while you worked. Nothing was stored: look at your entries and send them again.',
        );
    }

    public static function thing(): self
    {
        return new self(
            'The larder was changed elsewhere while you worked. Nothing was stored: look at your entries and send them again.',
        );
    }

    public static function draft(): self
    {
        return new self(
            'This recipe was changed elsewhere while you worked. Nothing was stored: look at your entries and send them again.',
        );
    }
}
