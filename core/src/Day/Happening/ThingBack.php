<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** It is there again; on a gas fire perhaps with a new bottle. */
final readonly class ThingBack implements Happening
{
    public function __construct(
        public string $thing,
        public ?\DateTimeImmutable $from,
        public ?\DateTimeImmutable $until,
        public bool $bottle,
    ) {
    }
}
