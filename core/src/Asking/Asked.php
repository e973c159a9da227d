<?php

declare(strict_types=1);

namespace FeastLadle\Asking;

use FeastLadle\Drafting\OpenPoint;
use FeastLadle\Words\Sentence;

/** A question, and what its answer changes. */
final readonly class Asked
{
    /** @param Sentence|null $effect null where it was not reckoned, or changes less than a spoon would */
    public function __construct(public OpenPoint $point, public ?Sentence $effect, public float $weight)
    {
    }

    public function matters(): bool
    {
        return $this->weight >= 1.0;
    }
}
