<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** How a dish goes at a sitting. */
final readonly class Eaten implements Happening
{
    public function __construct(
        public string $dish,
        public string $moment,
        public ?string $vessel,
        public ?int $served,
        public ?float $share,
        public bool $refilled,
    ) {
    }
}
