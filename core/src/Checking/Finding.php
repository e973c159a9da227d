<?php

declare(strict_types=1);

namespace FeastLadle\Checking;

/** Something about a recipe that a cook should mend, with where, why, and what to do. Templates are message ids with {placeholders}. */
final readonly class Finding
{
    /** @param array<string, string|int|float> $values */
    public function __construct(public Severity $severity, public string $step, public string $reason, public string $advice, public array $values = [])
    {
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
        $placeholders = [];
        foreach ($this->values as $name => $value) {
            $placeholders['{'.$name.'}'] = (string) $value;
        }

        return $placeholders;
    }
}
