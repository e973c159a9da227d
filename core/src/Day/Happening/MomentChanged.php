<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** A moment is moved, is open, or has been. */
final readonly class MomentChanged implements Happening
{
    public function __construct(
        public string $moment,
        public ?int $day,
        public ?string $time,
        public bool $open,
        public ?\DateTimeImmutable $notBefore,
        public ?\DateTimeImmutable $likely,
        public ?\DateTimeImmutable $latest,
        public bool $offered,
    ) {
    }
}
