<?php

declare(strict_types=1);

namespace FeastLadle\Vessel;

use FeastLadle\Words\OutOfRange;

/** One vessel of a kitchen. */
final readonly class Vessel
{
    public const EMPTY_KG = [0.05, 500.0];

    public function __construct(
        public string $id,
        public string $name,
        public VesselKind $kind,
        public Shape $shape,
        public Metal $metal,
        public float $emptyKg,
    ) {
        OutOfRange::check('empty vessel, kg', $emptyKg, ...self::EMPTY_KG);
    }
}
