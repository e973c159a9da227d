<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** min ≤ reference(to) − reference(from) ≤ max */
final readonly class Link
{
    public function __construct(
        public string $from,
        public string $to,
        public int $min = 0,
        public ?int $max = null,
        public LinkType $type = LinkType::EndToStart,
    ) {
    }
}
