<?php

declare(strict_types=1);

namespace FeastLadle\Kitchen;

/** What a house takes where its rule forbids a thing: how much for a gram of it, and what to look out for. */
final readonly class Instead
{
    public function __construct(public string $ingredient, public float $ratio = 1.0, public string $caution = '')
    {
    }
}
