<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

use FeastLadle\Flow\Contents;
use FeastLadle\Larder\Larder;
use FeastLadle\Vessel\Vessel;

/** What was measured in a vessel. */
final readonly class VesselRead implements Happening
{
    private const GRAMS_A_KILO = 1000.0;

    public function __construct(
        public string $vessel,
        public ?float $celsius,
        public ?float $grams,
        public bool $gross,
        public ?float $mm,
        public ?string $stage,
        public ?int $shade,
        public ?float $sampleMl,
        public ?float $sampleGrams,
    ) {
    }

    /** Grams that stand there: weighed, or by how deep it stands; null where neither was read. What leaves is water, a ml a gram. */
    public function contentsGrams(Vessel $vessel, Contents $reckoned, Larder $larder): ?float
    {
        if (null !== $this->grams) {
            return max(0.0, $this->grams - ($this->gross ? self::GRAMS_A_KILO * $vessel->emptyKg : 0.0));
        }

        return null === $this->mm
            ? null
            : $reckoned->massGrams() - ($reckoned->volumeMl($larder) - $vessel->shape->volumeMl($this->mm));
    }
}
