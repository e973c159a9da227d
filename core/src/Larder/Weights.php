<?php

declare(strict_types=1);

namespace FeastLadle\Larder;

/** How a thing weighs out: in a cup, by the piece, by the pinch, and in the pot. */
final readonly class Weights
{
    /**
     * @param float                $bulkDensity g/ml as it lies in a cup
     * @param float                $potMl       ml per gram once it is in the pot: the air is gone and sugar dissolved
     * @param float|null           $eachGrams   grams of one piece, for things that are counted
     * @param array<string, float> $small       grams of a pinch, a thread, a pod
     * @param array<string, float> $forms       g/ml in other forms it lies in a cup: grated, powdered, packed
     * @param array<string, float> $yields      share that is kept when it is peeled, shelled, pitted
     * @param bool                 $strong      a little too much is too much: never rounded by more than a tenth
     */
    public function __construct(
        public float $bulkDensity,
        public float $potMl,
        public ?float $eachGrams,
        public string $counter,
        public array $small,
        public array $forms,
        public array $yields,
        public bool $strong = false,
    ) {
    }

    /** Grams that lie in a level cup. */
    public function cupGrams(float $cupMl): float
    {
        return $cupMl * $this->bulkDensity;
    }
}
