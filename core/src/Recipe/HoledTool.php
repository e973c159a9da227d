<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Tray\Drops;

/** A ladle or sieve through whose holes drops of batter fall into the fat. */
final readonly class HoledTool
{
    /** Batter of flour and water, g/ml; kitchen estimate. */
    public const BATTER = 1.08;

    /**
     * @param float $fallMm from the tool to the fat: from higher they fall rounder, and splash more; 0 where nobody said
     * @param int   $tools  how many there are: a second, dry one saves wiping between two rounds
     */
    public function __construct(public float $holeMm, public float $fallMm, public int $tools, public float $gramsPerMl)
    {
    }

    public function pieces(): PieceMaking
    {
        return new PieceMaking(Drops::grams($this->holeMm, $this->gramsPerMl), Drops::widthMm($this->holeMm), $this);
    }

    /** One layer of drops on so much fat. */
    public function loadGrams(float $surfaceM2): float
    {
        return Drops::loadGrams($this->holeMm, $this->gramsPerMl, $surfaceM2);
    }

    /** Minutes between two rounds: lifting out, and wiping where no second tool is dry. */
    public function betweenMinutes(): float
    {
        return Drops::betweenMinutes($this->tools);
    }
}
