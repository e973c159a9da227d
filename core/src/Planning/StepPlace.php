<?php

declare(strict_types=1);

namespace FeastLadle\Planning;

/** Why a step stands where it does: it is as late as it can be, and this is what keeps it from being later. */
final readonly class StepPlace
{
    /**
     * @param int            $slackMinutes by how much it could end later with nothing else moved
     * @param list<Obstacle> $reasons      what would be in the way then
     */
    public function __construct(public int $slackMinutes, public array $reasons)
    {
    }

    /** Nothing may slip here without something else slipping. */
    public function isCritical(): bool
    {
        return 0 === $this->slackMinutes;
    }
}
