<?php

declare(strict_types=1);

namespace FeastLadle\Schools;

/** One way of several that cooks keep to. */
final readonly class SchoolOption
{
    /** @param string $loses what the sweet gives up by an easier way; empty where nothing is lost */
    public function __construct(public string $id, public string $name, public string $why, public string $loses = '')
    {
    }
}
