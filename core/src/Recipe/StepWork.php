<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Heat\Flame;

/** How a step is worked: on which flame, how long, with which eyes and hands, until what. */
final readonly class StepWork
{
    /** @param bool $once done once for the whole dish, however many batches it is cooked in */
    public function __construct(
        public Flame $flame,
        public StepTime $time,
        public Attention $attention,
        public Target $target,
        public bool $once,
    ) {
    }

    /** How often it is done, where the dish is cooked in so many batches. */
    public function times(int $batches): int
    {
        return $this->once ? 1 : $batches;
    }
}
