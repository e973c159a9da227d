<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** From here on it becomes another recipe, or is made another way. */
final readonly class TurnedInto implements Happening
{
    /** @param array<string, string> $schools option by school */
    public function __construct(public string $vessel, public string $recipe, public array $schools)
    {
    }
}
