<?php

declare(strict_types=1);

namespace FeastLadle\Vessel;

/** One vessel of a kitchen. */
final readonly class Vessel
{
    public function __construct(
        public string $id,
        public string $name,
        public VesselKind $kind,
        public Shape $shape,
        public Metal $metal,
        public float $emptyKg,
    ) {
    }
}
