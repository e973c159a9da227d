<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** Where a step stands in a plan that was put in force. */
final readonly class Move
{
    /** @param list<string> $people */
    public function __construct(
        public string $step,
        public \DateTimeImmutable $start,
        public \DateTimeImmutable $end,
        public array $people,
        public ?string $fire,
    ) {
    }
}
