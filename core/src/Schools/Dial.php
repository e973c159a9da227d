<?php

declare(strict_types=1);

namespace FeastLadle\Schools;

/** How far a dish may be turned from what is written (1), what that moves, and what fails beyond. */
final readonly class Dial
{
    /** @param non-empty-list<DialMove> $moves */
    public function __construct(
        public DialKind $kind,
        public float $least,
        public float $most,
        public string $below,
        public string $above,
        public array $moves,
    ) {
    }
}
