<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** One press: everything else is silent. */
final readonly class Stopped implements Happening
{
    public function __construct(public StopCause $what, public ?string $vessel, public ?string $fire)
    {
    }
}
