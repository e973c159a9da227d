<?php

declare(strict_types=1);

namespace FeastLadle\Glance;

use FeastLadle\Diet\Source;
use FeastLadle\Diet\Sources;
use FeastLadle\Flow\Ledger;
use FeastLadle\Heat\Climate;
use FeastLadle\Larder\Larder;
use FeastLadle\Larder\Origin;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\Step;

/** Looks at a recipe once, as written: its colour follows from what stands in the last vessel and from what heat did to it. */
final readonly class Glancing
{
    /** How brown a process leaves what it is done to, 0 to 1; kitchen estimate. */
    private const BROWNS = [
        'deep-fry' => 0.65, 'roast' => 0.35, 'parch' => 0.25, 'griddle' => 0.3, 'reduce' => 0.12, 'stir-to-ball' => 0.08,
    ];

    private const MOST_GARNISHES = 3;

    public function __construct(private Larder $larder)
    {
    }

    public function at(Recipe $recipe): Sweet
    {
        $ledger = Ledger::follow($recipe, $this->larder, 1.0, 1, Climate::usual());
        $sources = (new Sources($this->larder))->of($recipe);
        $garnish = $this->garnish($recipe);
        $allergens = array_values(array_unique(array_merge(...array_map(static fn (Source $s): array => $s->allergens, $sources))));
        sort($allergens);

        return new Sweet(
            Shape::of($recipe),
            $this->tint($ledger, $recipe, $garnish),
            \array_slice(array_map(static fn (string $id): Tint => Tints::of($id)[0], $garnish), 0, self::MOST_GARNISHES),
            $recipe->serving,
            $recipe->keepMinutes,
            $this->handMinutes($ledger, $recipe),
            $allergens,
            [] === array_filter(
                $sources,
                static fn (Source $s): bool => Origin::Plant !== ($s->ingredient->caveats->diet ?? Origin::Plant),
            ),
            array_values(array_unique(array_map(static fn (Source $s): string => $s->name, $sources))),
        );
    }

    /** @return list<string> what lies on top, by ingredient ids */
    private function garnish(Recipe $recipe): array
    {
        $on = [];
        foreach ($recipe->steps as $step) {
            foreach (\in_array($step->process, [Process::Garnish, Process::FryGarnish], true) ? $step->takes : [] as $take) {
                if (null !== $take->ingredient && !\in_array($take->ingredient, ['ghee', 'butter', 'frying-oil', 'water'], true)) {
                    $on[$take->ingredient] = $take->ingredient;
                }
            }
        }

        return array_values($on);
    }

    /** @param list<string> $garnish */
    private function tint(Ledger $ledger, Recipe $recipe, array $garnish): Tint
    {
        $parts = [];
        foreach ($ledger->flow($recipe->lastStep)->gives->grams as $ingredient => $grams) {
            if (!\in_array((string) $ingredient, $garnish, true)) {
                [$tint, $strength] = Tints::of((string) $ingredient);
                $parts[] = [$tint, $strength * $grams];
            }
        }
        $tint = array_sum(array_column($parts, 1)) > 0 ? Tint::mixed($parts) : Tint::hex(Tints::PALE);
        $brown = 0.0;
        foreach ($this->onTheWay($recipe) as $step) {
            $brown = max($brown, self::BROWNS[$step->process->value] ?? 0.0);
        }

        return $tint->towards(Tint::hex(Tints::BROWNED), $brown);
    }

    /**
     * The steps that the body of the sweet goes through: not what is only fried beside it, nor a syrup it takes up.
     *
     * @return list<Step>
     */
    private function onTheWay(Recipe $recipe): array
    {
        $found = [];
        $open = [$recipe->lastStep];
        while (null !== ($id = array_pop($open))) {
            $step = $recipe->steps[$id] ?? null;
            if (null === $step || isset($found[$id]) || Process::FryGarnish === $step->process) {
                continue;
            }
            $found[$id] = $step;
            array_push($open, ...$step->sources());
        }

        return array_values($found);
    }

    private function handMinutes(Ledger $ledger, Recipe $recipe): float
    {
        $minutes = 0.0;
        foreach ($recipe->steps as $step) {
            $attention = $step->work->attention;
            if (AttentionKind::None === $attention->kind) {
                continue;
            }
            $time = $step->work->time;
            $likely = $time->secondsEach > 0
                ? $time->secondsEach * max(1.0, $ledger->flow($step->id)->gives->pieces) / 60
                : $time->likelyMinutes;
            $minutes += $likely * $attention->percent / 100;
        }

        return $minutes;
    }
}
