<?php

declare(strict_types=1);

namespace FeastLadle\Larder;

/** Something an ingredient is not to be confused with, and how it differs. */
final readonly class Likeness
{
    public function __construct(public string $name, public string $difference)
    {
    }
}
