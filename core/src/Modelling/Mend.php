<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

/** A change that was planned, and how late the dish still is with it. */
final readonly class Mend
{
    public function __construct(public MendKind $kind, public int $lateMinutes)
    {
    }
}
