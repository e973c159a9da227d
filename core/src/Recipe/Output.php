<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/**
 * One of several things a step gives: a share of the mass, perhaps turned into another ingredient (milk pressed from
 * coconut), or waste.
 */
final readonly class Output
{
    /**
     * @param string|null $as    the ingredient it has become; null: it is made of what went in
     * @param bool        $waste peel, grit, dregs: it leaves and nobody takes it
     */
    public function __construct(public string $id, public float $share, public ?string $as, public bool $waste, public string $name)
    {
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
