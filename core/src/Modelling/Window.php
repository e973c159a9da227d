<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

/** How long what one activity gives should wait for another at the most, where a plan may let it wait longer. */
final readonly class Window
{
    public function __construct(public string $from, public string $to, public int $minutes)
    {
    }
}
