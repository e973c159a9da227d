<?php

declare(strict_types=1);

namespace FeastLadle\Vessel;

/** How full a kitchen fills its vessels: the usual limits, and its own where it has set some. */
final readonly class FillLimits
{
    /** @param array<string, float> $own shares of brimful by limit */
    public function __construct(private array $own = [])
    {
    }

    public function share(FillLimit $limit): float
    {
        return $this->own[$limit->value] ?? $limit->share();
    }
}
