<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** How long an output keeps, where, in what, and what spoils it. */
final readonly class Keeping
{
    /**
     * @param list<KeepingEnemy> $enemies
     * @param bool               $thickens while it waits
     */
    public function __construct(
        public int $minutes,
        public KeepingPlace $place,
        public string $container = '',
        public array $enemies = [],
        public bool $thickens = false,
    ) {
    }
}
