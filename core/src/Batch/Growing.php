<?php

declare(strict_types=1);

namespace FeastLadle\Batch;

use FeastLadle\Recipe\Take;

/**
 * A recipe grown: k = need / yield, n equal batches, per batch base × (k/n)^e; e is 1 for body, 0.85 for strong spice and
 * salt by convention.
 */
final class Growing
{
    public const BODY = 1.0;
    public const STRONG = Take::STRONG;

    public static function perBatch(float $base, float $factor, int $batches, float $exponent = self::BODY): float
    {
        return $base * ($factor / $batches) ** $exponent;
    }

    /** The largest factor at or below a given one at which so many packs come out whole: n packs hold base × k^e. */
    public static function wholePackFactor(float $base, float $factor, float $packGrams, float $exponent = self::BODY): float
    {
        $packs = max(1.0, floor(($base * $factor ** $exponent) / $packGrams + 1e-9));

        return (($packs * $packGrams) / $base) ** (1 / $exponent);
    }
}
