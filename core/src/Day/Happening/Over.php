<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** It is over. */
final readonly class Over implements Happening
{
    public function __construct(public StopCause $what, public ?string $vessel, public ?string $fire)
    {
    }
}
