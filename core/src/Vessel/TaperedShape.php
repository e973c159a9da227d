<?php

declare(strict_types=1);

namespace FeastLadle\Vessel;

/** A frustum on a flat base; the rim may be wider, equal or narrower than the base. V = πx(r_b² + r_b r + r²)/3. */
final readonly class TaperedShape implements Shape
{
    use InvertsByBisection;

    public function __construct(private float $baseRadiusMm, private float $rimRadiusMm, private float $heightMm)
    {
    }

    public function heightMm(): float
    {
        return $this->heightMm;
    }

    public function volumeMl(float $depthMm): float
    {
        $x = max(0.0, min($depthMm, $this->heightMm));
        $b = $this->baseRadiusMm;
        $r = $this->radiusMm($x);

        return (\M_PI * $x * ($b * $b + $b * $r + $r * $r)) / 3000;
    }

    public function radiusMm(float $depthMm): float
    {
        return $this->baseRadiusMm +
            (($this->rimRadiusMm - $this->baseRadiusMm) * max(0.0, min($depthMm, $this->heightMm))) / $this->heightMm;
    }

    public function surfaceM2(float $depthMm): float
    {
        return (\M_PI * $this->radiusMm($depthMm) ** 2) / 1e6;
    }

    public function heatedBaseM2(float $depthMm, float $burnerRingRadiusMm, bool $flameWraps): float
    {
        return (\M_PI * $this->baseRadiusMm ** 2) / 1e6;
    }
}
