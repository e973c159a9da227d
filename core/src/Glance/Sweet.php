<?php

declare(strict_types=1);

namespace FeastLadle\Glance;

use FeastLadle\Recipe\ServingWay;

/** A sweet of the book at a glance: what it looks like, how long it keeps, what it asks of hands, what is in it. */
final readonly class Sweet
{
    /**
     * @param list<Tint>   $garnish     what lies on top, at most a few
     * @param float        $handMinutes of hands, as written, likely
     * @param list<string> $allergens   by name
     * @param list<string> $things      names of all that gets into it
     */
    public function __construct(
        public Shape $shape,
        public Tint $tint,
        public array $garnish,
        public ServingWay $served,
        public int $keepMinutes,
        public float $handMinutes,
        public array $allergens,
        public bool $isOfPlants,
        public array $things,
    ) {
    }
}
