<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

/** What one fire burns in a plan. */
final readonly class FireFuel
{
    /** @param list<BottleEnd> $bottles that are empty while it burns */
    public function __construct(
        public string $fire,
        public string $fuel,
        public float $minutes,
        public float $amount,
        public string $unit,
        public array $bottles,
    ) {
    }
}
