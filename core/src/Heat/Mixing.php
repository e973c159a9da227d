<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

/** The temperature at which things meet: T = Σ mcT / Σ mc. A heavy vessel is one of the things. */
final class Mixing
{
    /** @param non-empty-list<array{kj: float, celsius: float}> $parts heat capacity in kJ/K and temperature of each */
    public static function celsius(array $parts): float
    {
        $capacity = array_sum(array_column($parts, 'kj'));

        return array_sum(array_map(static fn (array $p): float => $p['kj'] * $p['celsius'], $parts)) / $capacity;
    }
}
