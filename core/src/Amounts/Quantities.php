<?php

declare(strict_types=1);

namespace FeastLadle\Amounts;

use FeastLadle\Feast\Feast;
use FeastLadle\Stores\StoreLine;

/** Everything about amounts: dishes, pots, stores. */
final readonly class Quantities
{
    /**
     * @param array<string, PlannedDish> $dishes     by dish id
     * @param list<StoreLine>            $stores
     * @param float                      $plateShare all portions shrink by so much to keep a plate under its cap; 1 for full portions
     * @param Making                     $making     what the planner chose beside what the cook did
     */
    public function __construct(
        public array $dishes,
        public array $stores,
        public float $plateShare,
        public Making $making = new Making(),
    ) {
    }

    /** The same amounts, made in another way that changes none of them. */
    public function madeBy(Making $making): self
    {
        return new self($this->dishes, $this->stores, $this->plateShare, $making);
    }

    /** The same amounts with the wishes of another reading of the feast: what is changed there is when, never how much. */
    public function wishedAs(Feast $feast): self
    {
        $dishes = $this->dishes;
        foreach ($feast->dishes as $dish) {
            if (isset($dishes[$dish->id])) {
                $dishes[$dish->id] = $dishes[$dish->id]->wishedAs($dish);
            }
        }

        return new self($dishes, $this->stores, $this->plateShare, $this->making);
    }
}
