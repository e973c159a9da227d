<?php

declare(strict_types=1);

namespace FeastLadle\Portion;

/** What to make beyond the expected, so that the dish runs short in one feast of ten: √(0.05² + 1.28²(1 − u)/(u·n)). */
final class Spare
{
    public static function share(float $uptake, int $guests): float
    {
        return sqrt(0.05 ** 2 + 1.28 ** 2 * (1 - $uptake) / ($uptake * $guests));
    }
}
