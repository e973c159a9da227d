<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** Work by the piece or by mass: n people take 1/n^0.95 of the time of one, as they reach around each other. */
final class SharedWork
{
    private const POWER = 0.95;

    /** Of the minutes that one takes. */
    public static function share(int $people): float
    {
        return max(1, $people) ** -self::POWER;
    }
}
