<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** How it tastes. */
final readonly class Tasted implements Happening
{
    public function __construct(public ?string $vessel, public ?string $dish, public Verdict $verdict)
    {
    }
}
