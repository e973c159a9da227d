<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** Schools that were chosen because, as it is written, what stands in for milk would be boiled down, and split. */
final readonly class OtherWay
{
    /**
     * @param non-empty-array<string, string> $schools    school id → option id, where it differs from what is written
     * @param string                          $ingredient what would have split
     */
    public function __construct(public array $schools, public string $ingredient)
    {
    }
}
