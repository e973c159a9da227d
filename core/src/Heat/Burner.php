<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

/** One fire of a kitchen. */
final readonly class Burner
{
    public function __construct(
        public string $id,
        public string $name,
        public Fuel $fuel,
        public float $kilowatts,
        public float $ringDiameterMm,
    ) {
    }

    /** Power that reaches the pot, in kW, before what the food can stand. */
    public function netKw(Flame $flame): float
    {
        return $this->kilowatts * $this->fuel->efficiency() * $flame->share();
    }
}
