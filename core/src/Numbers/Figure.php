<?php

declare(strict_types=1);

namespace FeastLadle\Numbers;

/** One number that a law gives; null is "never", a word is a judgement. */
final readonly class Figure
{
    public function __construct(public string $name, public float|int|string|bool|null $value, public string $unit = '')
    {
    }
}
