<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

/** When a bottle of gas is empty, and which is opened then. */
final readonly class BottleEnd
{
    /** @param int $number of the bottle, from 1 */
    public function __construct(public int $number, public float $kilograms, public \DateTimeImmutable $at, public bool $isLast)
    {
    }
}
