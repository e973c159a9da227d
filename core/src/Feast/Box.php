<?php

declare(strict_types=1);

namespace FeastLadle\Feast;

/** A gift box: so many of them, each with so much of each dish, packed before a moment. */
final readonly class Box
{
    /** @param array<string, float> $holds grams or pieces by dish id */
    public function __construct(
        public string $id,
        public string $name,
        public int $count,
        public array $holds,
        public int $packSeconds,
        public string $at,
    ) {
    }
}
