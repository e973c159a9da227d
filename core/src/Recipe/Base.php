<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** That a recipe is one which others take from, and how it is bought instead, if it is. */
final readonly class Base
{
    /**
     * @param string|null  $bought     ingredient that stands for it when it is bought
     * @param float        $ratio      grams of the bought one for a gram of the home-made
     * @param list<string> $allergens  what the label of the bought one adds
     * @param bool         $labelRead  whether somebody has read that label
     * @param float|null   $pricePerKg of the bought one, in the kitchen's own money
     * @param string       $strength   how strong it is ("30 % fat"), for converting
     */
    public function __construct(
        public string $strength,
        public ?string $bought,
        public float $ratio,
        public array $allergens,
        public bool $labelRead,
        public ?float $pricePerKg,
    ) {
    }
}
