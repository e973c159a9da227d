<?php

declare(strict_types=1);

namespace FeastLadle\Schools;

/** Choices that do not go together, and why. */
final readonly class Exclusion
{
    /** @param array<string, list<string>> $when */
    public function __construct(public array $when, public string $why)
    {
    }
}
