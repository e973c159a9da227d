<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/**
 * One of several things a step gives: a share of the mass, perhaps turned into another ingredient (milk pressed from
 * coconut); or what it is, pieces or solids lifted out of the rest; or waste.
 */
final readonly class Output
{
    /**
     * @param float        $share   of everything alike; 0 where its kind tells how much it is
     * @param string|null  $as      the ingredient it has become; null: it is made of what went in
     * @param bool         $waste   peel, grit, dregs: it leaves and nobody takes it
     * @param float        $drinks  of what is lifted out: grams of the rest that go with it, for each gram of its own
     * @param Keeping|null $keeping its own, where the outputs of a step do not keep alike
     */
    public function __construct(
        public string $id,
        public float $share,
        public ?string $as,
        public bool $waste,
        public string $name,
        public OutputKind $kind = OutputKind::Share,
        public float $drinks = 0.0,
        public ?Keeping $keeping = null,
    ) {
    }

    public function called(): string
    {
        return '' === $this->name ? $this->id : $this->name;
    }

    public static function key(string $step, ?string $output): string
    {
        return null === $output ? $step : $step.'/'.$output;
    }
}
