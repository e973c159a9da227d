<?php

declare(strict_types=1);

namespace FeastLadle\Larder;

/** What a thing is, as far as amounts, pots and plates depend on it. */
final readonly class Ingredient
{
    /** From this share on a thing is a sweetener. */
    private const SWEETENER = 0.6;

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
     * @param array<string, float> $forms       g/ml in other forms it lies in a cup: grated, powdered, packed
     * @param array<string, float> $yields      share that is kept when it is peeled, shelled, pitted
     * @param list<int>            $season      months in which it is to be had; empty: always
     * @param int                  $leadDays    days ahead it has to be asked for
     * @param list<Substitute>     $substitutes
     * @param float|null           $mostCelsius it splits or loses its scent above; null: it stands the boil
     * @param bool                 $own         corrected or added by this kitchen
     * @param list<Danger>         $hazards     what can hurt in the thing itself, whatever is done with it
     * @param float|null           $addedSugar  share that is added sugar, where it is not plain from the composition
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
        public Origin $diet = Origin::Plant,
        public array $small = [],
        public array $unlike = [],
        public ?float $soak = null,
        public ?float $cooked = null,
        public array $forms = [],
        public array $yields = [],
        public array $season = [],
        public int $leadDays = 0,
        public array $substitutes = [],
        public ?float $mostCelsius = null,
        public bool $own = false,
        public ?float $addedSugar = null,
        public BuyingPlace $from = BuyingPlace::Grocer,
        public array $hazards = [],
    ) {
    }

    /** The share of it that counts as added sugar; in a sweetener all its sugar, in tinned milk what was stirred in. */
    public function addedSugarShare(): float
    {
        return match (true) {
            null !== $this->addedSugar => $this->addedSugar,
            $this->composition->sugar >= self::SWEETENER => $this->composition->sugar,
            default => 0.0,
        };
    }

    public function substitute(Without $without): ?Substitute
    {
        foreach ($this->substitutes as $substitute) {
            if ($substitute->without === $without) {
                return $substitute;
            }
        }

        return null;
    }

    /** Grams that lie in a level cup. */
    public function cupGrams(float $cupMl): float
    {
        return $cupMl * $this->bulkDensity;
    }
}
