<?php

declare(strict_types=1);

namespace FeastLadle\Larder;

/** What a thing is, as far as amounts, pots and plates depend on it. */
final readonly class Ingredient
{
    /**
     * @param float                $bulkDensity g/ml as it lies in a cup
     * @param float                $potMl       ml per gram once it is in the pot: the air is gone and sugar dissolved
     * @param list<string>         $allergens
     * @param float|null           $eachGrams   grams of one piece, for things that are counted
     * @param list<string>         $names       other names it goes by
     * @param array<string, float> $small       grams of a pinch, a thread, a pod
     * @param list<Likeness>       $unlike      what it is not to be confused with
     * @param float|null           $soak        water it takes when soaked, g per g dry
     * @param float|null           $cooked      water it takes in all when cooked, g per g dry
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
        public array $names = [],
        public Diet $diet = Diet::Plant,
        public array $small = [],
        public array $unlike = [],
        public ?float $soak = null,
        public ?float $cooked = null,
    ) {
    }

    /** Grams that lie in a level cup. */
    public function cupGrams(float $cupMl): float
    {
        return $cupMl * $this->bulkDensity;
    }
}
