<?php

declare(strict_types=1);

namespace FeastLadle\Kitchen;

use FeastLadle\Recipe\Process;

/** A tool that takes so much at a time: a jar, a tier, a holed ladle. It serves one process of the recipes. */
final readonly class Tool
{
    /** @param float $restMinutes between two loads: a motor cools, a tier is greased anew */
    public function __construct(
        public string $id,
        public string $name,
        public Process $process,
        public ?float $loadGrams,
        public ?int $loadPieces,
        public float $restMinutes,
    ) {
    }

    public function loads(float $grams, float $pieces): int
    {
        return max(
            1,
            (int) ceil((null === $this->loadGrams ? 0.0 : $grams / $this->loadGrams) - 1e-9),
            (int) ceil((null === $this->loadPieces ? 0.0 : $pieces / $this->loadPieces) - 1e-9),
        );
    }
}
