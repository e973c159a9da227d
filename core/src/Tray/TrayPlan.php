<?php

declare(strict_types=1);

namespace FeastLadle\Tray;

use FeastLadle\Heat\Cooling;
use FeastLadle\Words\CannotBe;

/** A mass poured into trays and cut: how many trays, how deep it lies, pieces, trimmings, and when which cut is due. Lengths in mm. */
final readonly class TrayPlan
{
    /** What set sweets are like: J/kg·K and W/mK of fudge. */
    private const SPECIFIC_HEAT = 2.5;
    private const CONDUCTIVITY = 0.35;

    private function __construct(
        public int $trays,
        public float $depth,
        public int $piecesEach,
        public float $gramsEach,
        public float $trimmings,
        private float $density,
        private bool $onRack,
    ) {
    }

    /**
     * @param float $massGrams of all that is poured
     * @param float $density   g/ml as it sets
     * @param float $wanted    depth that is wanted; trays are filled alike, no deeper
     *
     * @throws \DomainException when no whole piece comes out of such a tray
     */
    public static function of(
        float $massGrams,
        float $density,
        float $length,
        float $width,
        float $wanted,
        Cut $cut,
        float $a,
        float $b = 0.0,
        float $degrees = 60.0,
        bool $onRack = true,
    ): self {
        $full = (($length * $width * $wanted) / 1000) * $density;
        $trays = max(1, (int) ceil($massGrams / $full - 1e-9));
        $depth = (($massGrams / $trays / $density) * 1000) / ($length * $width);
        $pieces = $cut->pieces($length, $width, $a, $b, $degrees);
        if ($pieces < 1) {
            throw new CannotBe(\sprintf('No whole piece comes out of a tray of %g × %g mm with this cut.', $length, $width));
        }
        $share = $cut->pieceMm2($a, $b, $degrees) / ($length * $width);

        return new self($trays, $depth, $pieces, ($massGrams / $trays) * $share, 1 - $pieces * $share, $density, $onRack);
    }

    public function pieces(): int
    {
        return $this->trays * $this->piecesEach;
    }

    /** Minutes until the slab, poured at one temperature, has come to another; null: never in this room. */
    public function minutesTo(float $celsius, float $poured, float $room): ?float
    {
        $thick = $this->depth / 1000;
        $half = $this->onRack ? $thick / 2 : $thick;
        $tau = Cooling::slabTauMinutes($this->density * 1000, self::SPECIFIC_HEAT, $half, $half, self::CONDUCTIVITY);

        return Cooling::minutes($tau, $poured, $celsius, $room);
    }
}
