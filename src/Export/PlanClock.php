<?php

declare(strict_types=1);

namespace App\Export;

/** Instants of a plan as its documents tell them: ISO 8601, in the feast's own zone. */
final readonly class PlanClock
{
    public function __construct(private \DateTimeImmutable $origin, private \DateTimeZone $zone)
    {
    }

    public function instant(\DateTimeImmutable $at): string
    {
        return $at->setTimezone($this->zone)->format(\DATE_ATOM);
    }

    /** @param float $minute of the plan */
    public function minute(float $minute): string
    {
        return $this->instant($this->origin->modify('+'.(int) round($minute).' minutes'));
    }
}
