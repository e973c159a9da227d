<?php

declare(strict_types=1);

namespace FeastLadle\Cards;

use FeastLadle\Vessel\Vessel;

/** A dipstick for one pot of a feast: even litres, and the levels of its steps, in mm above the floor of the pot. */
final readonly class PotStick
{
    /**
     * @param list<array{litres: float, depthMm: float}>                                          $litres at 20 °C
     * @param list<array{label: string, depthMm: float, what: string, celsius: float, ml: float}> $levels what: begin, stop, limit
     */
    public function __construct(public Vessel $vessel, public string $title, public array $litres, public array $levels)
    {
    }
}
