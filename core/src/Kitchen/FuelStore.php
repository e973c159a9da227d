<?php

declare(strict_types=1);

namespace FeastLadle\Kitchen;

/** Gas and wood that are there. */
final readonly class FuelStore
{
    /** A full bottle, kg of gas, where nothing else is said. */
    public const USUAL_BOTTLE_KG = 14.0;

    /**
     * @param list<float> $bottles  kg of gas in each, in the order in which they are opened; the fires burn from one at a time
     * @param float       $bottleKg of gas in a full one, as it is bought
     */
    public function __construct(public array $bottles = [], public float $bottleKg = self::USUAL_BOTTLE_KG, public float $woodKg = 0.0)
    {
    }
}
