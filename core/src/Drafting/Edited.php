<?php

declare(strict_types=1);

namespace FeastLadle\Drafting;

use FeastLadle\Document\Placeholders;

/** A draft after something was done to it, which step is open now, and what could not be done. */
final readonly class Edited
{
    /** @param array<string, string|int|float> $values */
    public function __construct(public Draft $draft, public int $open, public string $refusal = '', public array $values = [])
    {
    }

    /** @return array<string, string> keyed "{placeholder}" */
    public function placeholders(): array
    {
        return Placeholders::of($this->values);
    }
}
