<?php

declare(strict_types=1);

namespace FeastLadle\Vessel;

/** A round-bottomed pan, a cap of a sphere: R = (a² + h²)/2h, V = πx²(3R − x)/3, surface π(2Rx − x²), wetted metal 2πRx. */
final readonly class BowlShape implements Shape
{
    use InvertsByBisection;

    private float $sphereRadiusMm;

    public function __construct(float $rimRadiusMm, private float $heightMm)
    {
        $this->sphereRadiusMm = ($rimRadiusMm ** 2 + $heightMm ** 2) / (2 * $heightMm);
    }

    /** A bowl known by its rim and what it holds to the brim: h = 2a·sinh(⅓ asinh(3V/πa³)). */
    public static function fromBrimful(float $rimRadiusMm, float $brimfulMl): self
    {
        return new self($rimRadiusMm, 2 * $rimRadiusMm * sinh(asinh(3 * $brimfulMl * 1000 / (\M_PI * $rimRadiusMm ** 3)) / 3));
    }

    public function heightMm(): float
    {
        return $this->heightMm;
    }

    public function volumeMl(float $depthMm): float
    {
        $x = max(0.0, min($depthMm, $this->heightMm));

        return \M_PI * $x * $x * (3 * $this->sphereRadiusMm - $x) / 3000;
    }

    public function radiusMm(float $depthMm): float
    {
        $x = max(0.0, min($depthMm, $this->heightMm));

        return sqrt(max(0.0, 2 * $this->sphereRadiusMm * $x - $x * $x));
    }

    public function surfaceM2(float $depthMm): float
    {
        return \M_PI * $this->radiusMm($depthMm) ** 2 / 1e6;
    }

    public function heatedBaseM2(float $depthMm, float $burnerRingRadiusMm, bool $flameWraps): float
    {
        $wet = max(0.0, min($depthMm, $this->heightMm));
        $reach = $flameWraps ? $wet : min($this->depthAtRadius($burnerRingRadiusMm), $wet);

        return 2 * \M_PI * $this->sphereRadiusMm * $reach / 1e6;
    }

    private function depthAtRadius(float $radiusMm): float
    {
        if ($radiusMm >= $this->radiusMm($this->heightMm)) {
            return $this->heightMm;
        }

        return $this->sphereRadiusMm - sqrt($this->sphereRadiusMm ** 2 - $radiusMm ** 2);
    }
}
