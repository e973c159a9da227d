<?php

declare(strict_types=1);

namespace FeastLadle\Larder;

use FeastLadle\Heat\SpecificHeat;
use FeastLadle\Syrup\Sweetener;

/** Shares of an ingredient by mass; what remains is protein and fibre (and starch, where it is not told). */
final readonly class Composition
{
    private const PURE_FAT = 0.8;

    /**
     * @param float|null $addedSugar share that is added sugar, where it is not plain from the rest
     * @param Sweetener  $boilsAs    by whose law it is boiled to a stage
     */
    public function __construct(
        public float $water,
        public float $sugar,
        public float $fat,
        public float $starch = 0.0,
        public ?float $addedSugar = null,
        public Sweetener $boilsAs = Sweetener::Sugar,
    ) {
    }

    /** Share of it that counts as dissolved in a syrup: jaggery brings more than its sugar. */
    public function syrupSolids(): float
    {
        return Sweetener::Sugar === $this->boilsAs ? $this->sugar : $this->boilsAs->solidsShare();
    }

    /** Fat itself, that pours or melts; no nut, however fat. */
    public function isFat(): bool
    {
        return $this->fat >= self::PURE_FAT;
    }

    /** kJ/kg·K from composition: 4.18 w + 2.1 fat + 1.6 for sugar, starch and the rest. */
    public function specificHeat(): float
    {
        return SpecificHeat::WATER * $this->water + 2.1 * $this->fat + 1.6 * (1 - $this->water - $this->fat);
    }
}
