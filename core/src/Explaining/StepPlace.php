<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Modelling\Obstacle;

/** Why a step stands where it does: it is as late as it can be, and this is what keeps it from being later. */
final readonly class StepPlace
{
    /**
     * @param int            $slackMinutes by how much it could end later with nothing else moved
     * @param list<Obstacle> $reasons      what would be in the way then
     * @param int|null       $slipMinutes  by how much it may come late, all that waits for it moving along, before a moment is
     *                                     missed; null: nothing waits for it
     */
    public function __construct(public int $slackMinutes, public array $reasons, public ?int $slipMinutes = null)
    {
    }

    /** It can't end later without something else moving. */
    public function isTight(): bool
    {
        return 0 === $this->slackMinutes;
    }

    /** It is on the critical chain: late here is late at a moment. */
    public function isCritical(): bool
    {
        return 0 === $this->slipMinutes;
    }
}
