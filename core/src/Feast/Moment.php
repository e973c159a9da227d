<?php

declare(strict_types=1);

namespace FeastLadle\Feast;

/** A minute at which dishes must be there. */
final readonly class Moment
{
    /** @param int $bowls how many grown-up portions of each dish an offering sets aside */
    public function __construct(
        public string $id,
        public MomentKind $kind,
        public string $name,
        public \DateTimeImmutable $at,
        public int $bowls,
    ) {
    }
}
