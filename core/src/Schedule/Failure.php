<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * Why the last group found no place, for whoever decides what gives way. Written while placing, so it is the one thing here
 * that changes.
 */
final class Failure
{
    /** The activity that found no place, or −1. */
    public int $at = -1;

    /** By how much the horizon was too short. */
    public int $deficit = 0;

    /** @var array<int, int> activities of other groups that must start earlier, and when */
    public array $outside = [];

    /** @var array<int, int> the same, for members of a hold that something stands in the way of */
    public array $outsideHold = [];

    public function asksOthers(): bool
    {
        return [] !== $this->outside || [] !== $this->outsideHold;
    }

    public function asksNobody(): void
    {
        $this->outside = $this->outsideHold = [];
    }
}
