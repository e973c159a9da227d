<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

use FeastLadle\Words\OutOfRange;

/** One fire of a kitchen. */
final readonly class Burner
{
    public const KILOWATTS = [0.1, 100.0];
    public const RING_MM = [20.0, 1500.0];

    public function __construct(
        public string $id,
        public string $name,
        public Fuel $fuel,
        public float $kilowatts,
        public float $ringDiameterMm,
    ) {
        OutOfRange::check('burner, kW', $kilowatts, ...self::KILOWATTS);
        OutOfRange::check('burner ring, mm', $ringDiameterMm, ...self::RING_MM);
    }

    /** Whether all that is worked out for one holds for the other. */
    public function isLike(self $other): bool
    {
        return $this->fuel === $other->fuel
            && $this->kilowatts === $other->kilowatts
            && $this->ringDiameterMm === $other->ringDiameterMm;
    }

    /** Power that reaches the pot, in kW, before what the food can stand. */
    public function netKw(Flame $flame): float
    {
        return $this->kilowatts * $this->fuel->efficiency() * $flame->share();
    }
}
