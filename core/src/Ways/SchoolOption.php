<?php

declare(strict_types=1);

namespace FeastLadle\Ways;

/** One way of several that cooks keep to. */
final readonly class SchoolOption
{
    public function __construct(public string $id, public string $name, public string $why)
    {
    }
}
