<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** A proposal or a way was taken, or not. */
final readonly class Answered implements Happening
{
    public function __construct(public ?string $proposal, public ?string $way, public bool $taken)
    {
    }
}
