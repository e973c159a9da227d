<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** What was measured in a vessel. */
final readonly class VesselRead implements Happening
{
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
}
