<?php

declare(strict_types=1);

namespace FeastLadle\Day;

/** A rule of the day that was broken, and where. */
final readonly class Violation
{
    public function __construct(public string $rule, public int $run, public ?string $event)
    {
    }
}
