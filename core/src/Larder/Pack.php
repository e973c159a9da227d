<?php

declare(strict_types=1);

namespace FeastLadle\Larder;

/** How an ingredient is sold: whole packs, or by weight in steps. */
final readonly class Pack
{
    public function __construct(public string $name, public float $grams, public bool $loose)
    {
    }
}
