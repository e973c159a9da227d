<?php

declare(strict_types=1);

namespace FeastLadle\Vessel;

/** The inside of a vessel. Lengths in mm, volumes in ml, areas in m². */
interface Shape
{
    public function heightMm(): float;

    public function brimfulMl(): float;

    /** Volume of what stands to this depth; depths outside the vessel are drawn in to its floor or rim. */
    public function volumeMl(float $depthMm): float;

    /** Depth to which a volume stands; the rim when it would overflow. */
    public function depthMm(float $volumeMl): float;

    /** Radius of the inside at a depth. */
    public function radiusMm(float $depthMm): float;

    /** Free surface of contents that stand to this depth. */
    public function surfaceM2(float $depthMm): float;

    /**
     * Metal over the fire that the contents touch, for a burner ring of the given radius.
     *
     * @param bool $flameWraps whether a flame goes up round a vessel without a flat base
     */
    public function heatedBaseM2(float $depthMm, float $burnerRingRadiusMm, bool $flameWraps): float;
}
