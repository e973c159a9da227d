<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/**
 * How long a step takes: min, likely and max minutes at the recipe's own scale, and by what they grow.
 * For a law the minutes are the reference (roast) or unused; seconds are for each piece; for loads they are one load's.
 */
final readonly class StepTime
{
    public function __construct(
        public Growth $growth,
        public float $minMinutes,
        public float $likelyMinutes,
        public float $maxMinutes,
        public float $power = 1.0,
        public float $secondsEach = 0.0,
        public CoolingMedium $medium = CoolingMedium::Air,
        public ?Loads $loads = null,
    ) {
    }
}
