<?php

declare(strict_types=1);

namespace FeastLadle\Flow;

use FeastLadle\Heat\Cooling;
use FeastLadle\Heat\HeatCap;
use FeastLadle\Larder\Larder;
use FeastLadle\Vessel\Vessel;

/**
 * How fast food cools where it stands: τ = ρc(V/A)(1/h + r/(m·k)), thick masses with the inside term whatever is done with them, thin
 * liquids by the film alone.
 */
final readonly class CoolsHere
{
    /** W/m·K; usual values of set sweets and of thick puddings. */
    private const SET = 0.35;
    private const THICK = 0.55;

    /** Water below which a mass is set and no longer thick; kitchen estimate. */
    private const SET_BELOW_WATER = 0.25;

    public function __construct(private Larder $larder)
    {
    }

    /**
     * @param int   $count   vessels alike that it stands in
     * @param float $film    W/m²K of what is around it
     * @param bool  $stirred it is kept moving, so that the inside is as cool as the outside
     *
     * @return float minutes in which it comes nearer to what is around it by the factor e
     */
    public function tauMinutes(
        Contents $food,
        ?Vessel $vessel,
        int $count = 1,
        float $film = Cooling::STILL_AIR,
        bool $stirred = false,
    ): float {
        $kg = max(1e-6, $food->massGrams() / 1000);
        $m3 = max(1e-9, $food->volumeMl($this->larder) / 1e6);
        $specificHeat = $food->heatCapacityKj($this->larder) / $kg;
        $solids = $food->solidsShare($this->larder);
        $conductivity = match (true) {
            $stirred, $solids < HeatCap::THICK_FROM => null,
            1 - $solids < self::SET_BELOW_WATER => self::SET,
            default => self::THICK,
        };
        if ($food->pieces >= 1) {
            // One by one, as balls.
            $radius = ((3 * $m3) / $food->pieces / (4 * \M_PI)) ** (1 / 3);

            return Cooling::tauMinutes($kg / $m3, $specificHeat, $radius / 3, $film, $radius, 5.0, $conductivity ?? self::THICK);
        }
        if (null === $vessel) {
            $radius = ((3 * $m3) / (4 * \M_PI)) ** (1 / 3);

            return Cooling::tauMinutes($kg / $m3, $specificHeat, $radius / 3, $film, $radius, 5.0, $conductivity);
        }
        $depth = $vessel->shape->depthMm($food->volumeMl($this->larder) / $count);
        $radius = $vessel->shape->radiusMm($depth / 2) / 1000;
        $faces = $vessel->shape->surfaceM2($depth) + (2 * \M_PI * $radius * $depth) / 1000;
        $slab = $depth / 1000 < $radius;

        return Cooling::tauMinutes(
            $kg / $m3,
            $specificHeat,
            $m3 / $count / max(1e-6, $faces),
            $film,
            // A flat mass loses heat through its top, a deep one through its walls.
            $slab ? $depth / 1000 : $radius,
            $slab ? 3.0 : 4.0,
            $conductivity,
        );
    }
}
