<?php

declare(strict_types=1);

namespace FeastLadle\Kitchen;

/** What is there already, where it may lie, and what more costs. */
final readonly class Storeroom
{
    /**
     * @param list<OnHand>         $pantry
     * @param array<string, float> $prices   of a pack, by ingredient id
     * @param float                $dryingM2 room to spread things that dry
     */
    public function __construct(
        public float $coldLitres,
        public array $pantry = [],
        public array $prices = [],
        public string $currency = '',
        public float $dryingM2 = 0.0,
    ) {
    }
}
