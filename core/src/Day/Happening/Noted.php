<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** Words. */
final readonly class Noted implements Happening
{
    public function __construct(public string $text, public ?string $step, public ?string $dish, public ?string $vessel)
    {
    }
}
