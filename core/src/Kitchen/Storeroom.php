<?php

declare(strict_types=1);

namespace FeastLadle\Kitchen;

/** What is there already, where it may lie, and what more costs. */
final readonly class Storeroom
{
    /** A cold space that is kept as it must be; chilled is 5 °C or less, so what chills things is colder. Kitchen estimate. */
    public const COLD_CELSIUS = 3.0;

    /** Usual for a hot box. */
    public const WARM_CELSIUS = 65.0;

    /**
     * @param list<OnHand>         $pantry
     * @param array<string, float> $prices      of a pack, by ingredient id
     * @param float                $dryingM2    room to spread things that dry
     * @param float                $warmLitres  of a place that keeps hot food hot: a hot box, a bed of embers, a warm oven
     * @param float                $warmCelsius that it keeps
     */
    public function __construct(
        public float $coldLitres,
        public array $pantry = [],
        public array $prices = [],
        public string $currency = '',
        public float $dryingM2 = 0.0,
        public float $warmLitres = 0.0,
        public float $warmCelsius = self::WARM_CELSIUS,
        public FuelStore $fuel = new FuelStore(),
    ) {
    }
}
