<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** The feast was changed at the desk. */
final readonly class FeastChanged implements Happening
{
    public function __construct(public string $feast)
    {
    }
}
