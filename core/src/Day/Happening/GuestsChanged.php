<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** More or fewer come. */
final readonly class GuestsChanged implements Happening
{
    public function __construct(public string $group, public int $count, public ?string $moment)
    {
    }
}
