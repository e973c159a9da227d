<?php

declare(strict_types=1);

namespace FeastLadle\Planning;

use FeastLadle\Stores\StoreLine;

/** Everything about amounts: dishes, pots, stores. */
final readonly class Quantities
{
    /**
     * @param array<string, PlannedDish> $dishes     by dish id
     * @param list<StoreLine>            $stores
     * @param float                      $plateShare all portions shrink by so much to keep a plate under its cap; 1 for full portions
     */
    public function __construct(public array $dishes, public array $stores, public float $plateShare)
    {
    }
}
