<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Larder\Larder;

/** Whether a recipe boils down what splits when it boils, told from its amounts as written, before any of it is grown. */
final readonly class BoiledDown
{
    /** Less of it than this share only flavours what is in the pot. */
    private const MUCH = 0.1;

    public function __construct(private Larder $larder)
    {
    }

    /** @return string|null the first ingredient that would split; null where none would */
    public function whatSplits(Recipe $recipe): ?string
    {
        /** @var array<string, array<string, float>> $inside grams by ingredient, by step */
        $inside = [];
        foreach ($recipe->steps as $id => $step) {
            $inside[$id] = [];
            foreach ($step->takes as $take) {
                $more = null !== $take->ingredient ? [$take->ingredient => $take->grams] : $inside[$take->fromStep] ?? [];
                foreach ($more as $ingredient => $grams) {
                    $inside[$id][$ingredient] = ($inside[$id][$ingredient] ?? 0.0) + $grams;
                }
            }
            if (Growth::BoilOff !== $step->work->time->growth) {
                continue;
            }
            foreach ($inside[$id] as $ingredient => $grams) {
                if (null !== $this->larder->get($ingredient)->mostCelsius && $grams > self::MUCH * array_sum($inside[$id])) {
                    return $ingredient;
                }
            }
        }

        return null;
    }
}
