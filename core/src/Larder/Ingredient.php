<?php

declare(strict_types=1);

namespace FeastLadle\Larder;

/** What a thing is, as far as amounts, pots and plates depend on it. */
final readonly class Ingredient
{
    /**
     * @param float        $bulkDensity g/ml as it lies in a cup
     * @param float        $potMl       ml per gram once it is in the pot: the air is gone and sugar dissolved
     * @param list<string> $allergens
     * @param float|null   $eachGrams   grams of one piece, for things that are counted
     */
    public function __construct(
        public string $id,
        public string $name,
        public float $bulkDensity,
        public float $potMl,
        public Composition $composition,
        public array $allergens,
        public Pack $pack,
        public ?float $eachGrams,
        public string $counter,
    ) {
    }
}
