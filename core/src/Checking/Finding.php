<?php

declare(strict_types=1);

namespace FeastLadle\Checking;

use FeastLadle\Words\Sentence;

/** Something about a recipe that a cook should mend, with where, why, and what to do. */
final readonly class Finding
{
    public Sentence $reason;

    public Sentence $advice;

    /** @param array<string, string|int|float|Sentence> $values of both sentences */
    public function __construct(public Severity $severity, public string $step, string $reason, string $advice, array $values = [])
    {
        $this->reason = new Sentence($reason, $values);
        $this->advice = new Sentence($advice, $values);
    }
}
