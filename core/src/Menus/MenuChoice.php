<?php

declare(strict_types=1);

namespace FeastLadle\Menus;

use FeastLadle\Explaining\FirstFit;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\ServingWay;

/** A sweet that this kitchen gets done by itself, in one way, and what it takes at the least. */
final readonly class MenuChoice
{
    public const HOT = [ServingWay::Hot, ServingWay::Warm];

    /**
     * @param array<string, mixed> $row   of the feast's document
     * @param list<FirstFit>       $needs of fires and hands
     */
    public function __construct(public array $row, public Recipe $recipe, public int $handMinutes, public array $needs)
    {
    }

    public function isHot(): bool
    {
        return \in_array($this->recipe->serving, self::HOT, true);
    }
}
