<?php

declare(strict_types=1);

namespace FeastLadle\Day;

/** What of a dish there is for each. */
final readonly class PortionNow
{
    /**
     * @param float          $planned for a grown-up, in grams or pieces
     * @param float          $each    the most that each could get of what there is
     * @param float          $made    all its batches come to, in grams or whole pieces
     * @param bool           $isReady all of it is cooked
     * @param LastLadle|null $ladle   once it is said how it goes at a sitting
     */
    public function __construct(
        public string $dish,
        public bool $countsPieces,
        public float $planned,
        public float $each,
        public ?LastLadle $ladle,
        public float $made,
        public bool $isReady,
    ) {
    }

    /** Of what was planned for each, from 0 to 1: a spare makes no portion larger. */
    public function share(): float
    {
        return max(0.0, min(1.0, $this->each / max(1e-9, $this->planned)));
    }
}
