<?php

declare(strict_types=1);

namespace FeastLadle\Vessel;

use FeastLadle\Words\OutOfRange;

/** One vessel of a kitchen. */
final readonly class Vessel
{
    public const EMPTY_KG = [0.05, 500.0];
    public const TIERS = [1, 12];

    /** @param int $tiers one over the other, of a steamer; 1 for all else */
    public function __construct(
        public string $id,
        public string $name,
        public VesselKind $kind,
        public Shape $shape,
        public Metal $metal,
        public float $emptyKg,
        public int $tiers = 1,
    ) {
        OutOfRange::check('tiers', $tiers, ...self::TIERS);
        OutOfRange::check('empty vessel, kg', $emptyKg, ...self::EMPTY_KG);
    }

    /** Whether all that is worked out for one holds for the other. */
    public function isLike(self $other): bool
    {
        return $this->kind === $other->kind
            && $this->metal === $other->metal
            && $this->emptyKg === $other->emptyKg
            && $this->tiers === $other->tiers
            && $this->shape::class === $other->shape::class
            && get_object_vars($this->shape) === get_object_vars($other->shape);
    }
}
