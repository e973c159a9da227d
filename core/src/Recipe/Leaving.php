<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** What leaves a step: a share of the pieces' mass as water, frying fat they do not take up, or a liquid poured off. */
final readonly class Leaving
{
    /**
     * @param float $waterShare share of what is taken that goes as steam (frying, roasting)
     * @param float $fatUptake  share of the raw pieces that they drink of the frying fat; the rest of the fat stays behind
     */
    public function __construct(public float $waterShare, public float $fatUptake)
    {
    }
}
