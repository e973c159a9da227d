<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** An event is taken back. */
final readonly class Withdrawn implements Happening
{
    public function __construct(public string $event)
    {
    }
}
