<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** Something stands elsewhere, or under another flame or lid. */
final readonly class Moved implements Happening
{
    public function __construct(
        public ?string $vessel,
        public ?string $dish,
        public float $share,
        public ?string $to,
        public ?string $flame,
        public ?string $lid,
    ) {
    }
}
