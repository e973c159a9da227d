<?php

declare(strict_types=1);

namespace FeastLadle\Kitchen;

/** Something that stands in the pantry, an ingredient or a base made before, and until when it is good. */
final readonly class OnHand
{
    public function __construct(public string $what, public float $grams, public ?\DateTimeImmutable $until)
    {
    }

    public function isGoodOn(\DateTimeImmutable $day): bool
    {
        return null === $this->until || $this->until->format('Y-m-d') >= $day->format('Y-m-d');
    }
}
