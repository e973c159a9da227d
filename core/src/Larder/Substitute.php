<?php

declare(strict_types=1);

namespace FeastLadle\Larder;

/** What stands in for an ingredient, how much of it, and what it then can't stand. */
final readonly class Substitute
{
    public function __construct(public Without $without, public string $ingredient, public float $ratio, public string $caution)
    {
    }
}
