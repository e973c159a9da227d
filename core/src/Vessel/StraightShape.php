<?php

declare(strict_types=1);

namespace FeastLadle\Vessel;

/** A cylinder, or a rectangular tray or box: the same floor at every depth. */
final readonly class StraightShape implements Shape
{
    private function __construct(private float $floorMm2, private float $heightMm)
    {
    }

    public static function round(float $diameterMm, float $heightMm): self
    {
        return new self(\M_PI * ($diameterMm / 2) ** 2, $heightMm);
    }

    public static function rectangular(float $lengthMm, float $widthMm, float $heightMm): self
    {
        return new self($lengthMm * $widthMm, $heightMm);
    }

    public function heightMm(): float
    {
        return $this->heightMm;
    }

    public function brimfulMl(): float
    {
        return $this->volumeMl($this->heightMm);
    }

    public function volumeMl(float $depthMm): float
    {
        return $this->floorMm2 * max(0.0, min($depthMm, $this->heightMm)) / 1000;
    }

    public function depthMm(float $volumeMl): float
    {
        return max(0.0, min($volumeMl * 1000 / $this->floorMm2, $this->heightMm));
    }

    public function radiusMm(float $depthMm): float
    {
        return sqrt($this->floorMm2 / \M_PI);
    }

    public function surfaceM2(float $depthMm): float
    {
        return $this->floorMm2 / 1e6;
    }

    public function heatedBaseM2(float $depthMm, float $burnerRingRadiusMm, bool $flameWraps): float
    {
        return $this->floorMm2 / 1e6;
    }
}
