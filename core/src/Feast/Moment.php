<?php

declare(strict_types=1);

namespace FeastLadle\Feast;

/** A minute at which dishes must be there. */
final readonly class Moment
{
    /** From the first who are served to the last who eat, where nothing is said. */
    public const USUAL_SERVING = 30;

    /**
     * @param int $bowls          how many grown-up portions of each dish an offering sets aside
     * @param int $servingMinutes from the first who are served to the last who eat
     */
    public function __construct(
        public string $id,
        public MomentKind $kind,
        public string $name,
        public \DateTimeImmutable $at,
        public int $bowls,
        public int $servingMinutes = self::USUAL_SERVING,
    ) {
    }
}
