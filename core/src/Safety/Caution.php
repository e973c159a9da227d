<?php

declare(strict_types=1);

namespace FeastLadle\Safety;

use FeastLadle\Larder\Danger;

/** One thing that can hurt somebody, and what to do about it. */
final readonly class Caution
{
    /** @param array<string, string|int|float> $values */
    public function __construct(public Danger $danger, public string $text, public array $values = [])
    {
    }
}
