<?php

declare(strict_types=1);

namespace FeastLadle\Schools;

/** A dial at v multiplies what it moves by v to the power. */
final readonly class DialMove
{
    public function __construct(public string $step, public Lever $lever, public string $ingredient, public float $power)
    {
    }

    public function factor(float $value): float
    {
        return $value ** $this->power;
    }
}
