<?php

declare(strict_types=1);

namespace FeastLadle\Checking;

use FeastLadle\Document\Placeholders;

/** Something about a recipe that a cook should mend, with where, why, and what to do. Templates are message ids with {placeholders}. */
final readonly class Finding
{
    /** @param array<string, string|int|float> $values */
    public function __construct(
        public Severity $severity,
        public string $step,
        public string $reason,
        public string $advice,
        public array $values = [],
    ) {
    }

    public function reasonText(): string
    {
        return strtr($this->reason, $this->placeholders());
    }

    public function adviceText(): string
    {
        return strtr($this->advice, $this->placeholders());
    }

    /** @return array<string, string> keyed "{placeholder}" */
    public function placeholders(): array
    {
        return Placeholders::of($this->values);
    }
}
