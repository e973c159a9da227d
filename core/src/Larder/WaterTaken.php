<?php

declare(strict_types=1);

namespace FeastLadle\Larder;

/** Water a dry thing takes, g per g dry, and minutes under pressure; null where it takes none, or nobody knows. */
final readonly class WaterTaken
{
    /**
     * @param float|null $soak            when soaked
     * @param float|null $cooked          in all, when cooked
     * @param float|null $pressureMinutes at pressure until it is soft, whatever the amount; soaked, where it is soaked at all
     * @param float      $unsoakedTimes   so many times as long when it was not
     */
    public function __construct(
        public ?float $soak,
        public ?float $cooked,
        public ?float $pressureMinutes = null,
        public float $unsoakedTimes = 1.0,
    ) {
    }
}
