<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** What leaves a step besides its outputs. */
final readonly class Leaving
{
    /**
     * @param float  $waterShare share of what is taken that goes as steam (frying, roasting)
     * @param float  $fatUptake  share of the raw pieces that they drink of the frying fat; the rest of the fat stays behind
     * @param float  $waste      share that is cut or strained away, of everything alike, or of its water alone
     * @param string $what       what that is: peel, grit
     * @param bool   $isWater    it is pressed or strained out as water, and no solid is lost with it
     */
    public function __construct(
        public float $waterShare,
        public float $fatUptake,
        public float $waste = 0.0,
        public string $what = '',
        public bool $isWater = false,
    ) {
    }
}
