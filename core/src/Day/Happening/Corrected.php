<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** A dish was loosened, sweetened or heated again. */
final readonly class Corrected implements Happening
{
    public function __construct(
        public ?string $dish,
        public ?string $vessel,
        public ?string $ingredient,
        public ?float $grams,
        public ?string $measure,
        public ?float $celsius,
    ) {
    }
}
