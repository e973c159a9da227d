<?php

declare(strict_types=1);

namespace FeastLadle\Syrup;

use FeastLadle\Heat\BoilOff;
use FeastLadle\Heat\SpecificHeat;

/**
 * A syrup on its way to a stage: how strong it must be, the water that stays and the water that boils off, and how long that takes
 * from the boil. The water left is sure to −8/+5 % at one string, to +38 % at hard ball.
 */
final readonly class Brew
{
    public function __construct(public Sweetener $sweetener, public float $grams, public float $waterGrams)
    {
    }

    public function solidsGrams(): float
    {
        return $this->grams * $this->sweetener->solidsShare();
    }

    public function startWaterGrams(): float
    {
        return $this->waterGrams + $this->grams * $this->sweetener->ownWaterShare();
    }

    public function startPercent(): float
    {
        return (100 * $this->solidsGrams()) / ($this->solidsGrams() + $this->startWaterGrams());
    }

    /** Strength at a rise at sea level. */
    public function percentAt(float $riseKelvin): float
    {
        return SugarRise::sugarPercent($riseKelvin / $this->sweetener->riseFactor());
    }

    public function waterLeftGrams(float $riseKelvin): float
    {
        $percent = $this->percentAt($riseKelvin);

        return ($this->solidsGrams() * (100 - $percent)) / $percent;
    }

    /** Water to boil off; negative when there is too little to begin with. */
    public function waterOffGrams(float $riseKelvin): float
    {
        return $this->startWaterGrams() - $this->waterLeftGrams($riseKelvin);
    }

    /** Water that brings a syrup that went on to one rise back to another, in two pours, off the flame. */
    public function waterBackGrams(float $pastRise, float $wantedRise): float
    {
        return max(0.0, $this->waterLeftGrams($wantedRise) - $this->waterLeftGrams($pastRise));
    }

    /**
     * Minutes from the boil: the water must go, and the syrup itself climbs.
     *
     * @return float|null null when no power is left
     */
    public function minutes(float $riseKelvin, float $netKw, float $boilingCelsius = 100.0): ?float
    {
        $off = $this->waterOffGrams($riseKelvin);
        if ($off <= 0) {
            return 0.0;
        }
        $boil = BoilOff::minutes($off / 1000, $netKw);
        if (null === $boil) {
            return null;
        }
        // The climb: each slice of rise warms what is still there.
        $from = SugarRise::kelvin($this->startPercent()) * $this->sweetener->riseFactor();
        $slices = 16;
        $kilojoules = 0.0;
        for ($i = 0; $i < $slices; ++$i) {
            $rise = $from + (($i + 0.5) * ($riseKelvin - $from)) / $slices;
            $percent = $this->percentAt($rise);
            $kilojoules +=
                ((($this->solidsGrams() + $this->waterLeftGrams($rise)) / 1000) *
                    SpecificHeat::syrup($percent, $boilingCelsius + $rise) *
                    ($riseKelvin - $from)) /
                $slices;
        }

        return $boil + max(0.0, $kilojoules) / $netKw / 60;
    }

    /** Where the stage stands on this thermometer, here and today. */
    public static function celsius(float $riseKelvin, float $boilingCelsius): float
    {
        return $boilingCelsius + SugarRise::atBoilingPoint($riseKelvin, $boilingCelsius);
    }
}
