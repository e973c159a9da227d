<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** What becomes of what was not used. */
final readonly class Leftover implements Happening
{
    public function __construct(public ?string $step, public ?string $vessel, public LeftoverFate $becomes)
    {
    }
}
