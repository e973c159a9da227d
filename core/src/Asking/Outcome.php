<?php

declare(strict_types=1);

namespace FeastLadle\Asking;

use FeastLadle\Flow\Ledger;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Recipe;

/** What a recipe comes to, in the four numbers by which a cook would know it. */
final readonly class Outcome
{
    /**
     * @param float $sugar   share of the finished sweet
     * @param float $water   share of the finished sweet
     * @param float $grams   that it makes
     * @param float $minutes of all its steps, one after the other
     */
    private function __construct(public float $sugar, public float $water, public float $grams, public float $minutes)
    {
    }

    public static function of(Recipe $recipe, Ledger $ledger, Larder $larder): self
    {
        $sweet = $ledger->flow($recipe->lastStep)->gives;
        $grams = max(0.001, $sweet->massGrams());
        $minutes = 0.0;
        foreach ($recipe->steps as $step) {
            $minutes += $step->work->time->likelyMinutes;
        }

        return new self($sweet->sugarGrams($larder) / $grams, $sweet->waterGrams($larder) / $grams, $grams, $minutes);
    }

    public function in(Aspect $aspect): float
    {
        return match ($aspect) {
            Aspect::Sugar => $this->sugar,
            Aspect::Water => $this->water,
            Aspect::Grams => $this->grams,
            Aspect::Minutes => $this->minutes,
        };
    }
}
