<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** Points at a need of an activity or of a hold. */
final readonly class NeedReference
{
    private function __construct(public bool $ofHold, public string $id, public int $need)
    {
    }

    public static function ofActivity(string $activity, int $need): self
    {
        return new self(false, $activity, $need);
    }

    public static function ofHold(string $hold, int $need): self
    {
        return new self(true, $hold, $need);
    }
}
