<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** Something to do inside a step, at a minute or at a sign. */
final readonly class Mark
{
    public function __construct(public ?int $minute, public string $sign, public string $do)
    {
    }
}
