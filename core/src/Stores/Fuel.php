<?php

declare(strict_types=1);

namespace FeastLadle\Stores;

/** What the fires of a plan burn, by fire. */
final readonly class Fuel
{
    public function __construct(public string $fire, public string $fuel, public float $minutes, public float $amount, public string $unit)
    {
    }
}
