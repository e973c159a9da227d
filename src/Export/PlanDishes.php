<?php

declare(strict_types=1);

namespace App\Export;

use FeastLadle\Amounts\DemandCurve;
use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Explaining\Word;
use FeastLadle\Feast\Feast;
use FeastLadle\Modelling\Obstacle;
use FeastLadle\Schools\Exchange;
use FeastLadle\Solving\Plan;
use FeastLadle\Standing\HeldDish;
use FeastLadle\Standing\Walk;

/**
 * The dishes of a plan document, bases too: amounts, pots, batches and whom they serve.
 *
 * @phpstan-type BatchRow array{batch: string, grams: float, pieces: float|null, ready: string, celsius: float,
 *     serves: list<array{moment: string, grams: float}>}
 */
final readonly class PlanDishes
{
    /** @param array<string, float> $chances by activity */
    public function __construct(
        private Feast $feast,
        private Plan $plan,
        private Walk $walk,
        private PlanClock $clock,
        private array $chances,
    ) {
    }

    private static function word(int $lateMinutes, ?float $chance): string
    {
        return ($lateMinutes > 0 || null === $chance ? Word::NotInTime : Word::ofChance($chance))->value;
    }

    /**
     * @param list<HeldDish> $held
     *
     * @return list<array<string, mixed>>
     */
    public function all(array $held): array
    {
        return array_values(array_map(fn (PlannedDish $d): array => $this->dish($d, $held), $this->plan->quantities->dishes));
    }

    /**
     * @param list<HeldDish> $held
     *
     * @return array<string, mixed>
     */
    private function dish(PlannedDish $planned, array $held): array
    {
        $id = $planned->dish->id;
        $recipe = $planned->dish->recipe;
        $timing = $this->plan->timings[$id] ?? null;
        $batches = $this->batches($planned);
        $chance = $this->chance($id);
        $ready = [] === $batches ? null : max(array_column($batches, 'ready'));

        return [
            'id' => $id,
            'recipe' => $recipe->slug,
            'name' => $recipe->name,
            'base' => $planned->dish->isBase,
            'need' => round($planned->demand->total, 1),
            'unit' => $planned->demand->portion->countsPieces ? $planned->demand->portion->pieceName : 'g',
            'factor' => round($planned->factor, 6),
            'servedAt' => $recipe->serving->servedCelsius(),
            'keepMinutes' => $recipe->keepMinutes,
            'way' => [
                'schools' => (object) $recipe->way->choices->schools,
                'dials' => (object) $recipe->way->choices->dials,
                'without' => $recipe->way->choices->without,
                'bought' => $recipe->way->choices->bought,
                'leftOut' => $recipe->way->choices->leftOut,
                'instead' => array_map(static fn (Exchange $e): array => [
                    'for' => $e->for,
                    'ingredient' => $e->ingredient,
                    'ratio' => $e->ratio,
                ], $recipe->way->choices->instead),
            ],
            'ready' => null === $timing ? $ready : $this->clock->instant($timing->ready),
            'lateMinutes' => $timing?->lateMinutes,
            'leftOut' => [] === $batches,
            'word' => $planned->dish->isBase ? null : self::word($timing->lateMinutes ?? 0, $chance),
            'chance' => $chance,
            'batches' => $batches,
            'pots' => $this->pots($planned),
            'reasons' => array_map(static fn (Obstacle $o): string => $o->text(), $timing->reasons ?? []),
        ];
    }

    private function chance(string $dish): ?float
    {
        $of = array_filter($this->chances, static fn (string $id): bool => str_starts_with($id, $dish.'/'), \ARRAY_FILTER_USE_KEY);

        return [] === $of ? null : round(min($of), 3);
    }

    /** @return list<BatchRow> what the last step gives, round by round */
    private function batches(PlannedDish $planned): array
    {
        $batches = [];
        foreach ($this->walk->steps() as $step) {
            if ($step->planned->dish !== $planned || $step->planned->step->id !== $planned->dish->recipe->lastStep) {
                continue;
            }
            $batches[] = [
                'batch' => $step->planned->key->round->id(),
                'grams' => round($step->gives->massGrams(), 1),
                'pieces' => $planned->demand->portion->countsPieces ? floor($step->gives->pieces + 1e-6) : null,
                'ready' => $this->clock->instant($step->planned->end),
                'celsius' => round($step->gives->celsius, 1),
                'serves' => [],
            ];
        }

        return $planned->dish->isBase ? $batches : $this->serving($planned, $batches);
    }

    /**
     * Whom each serves: the first that are ready, the first who come.
     *
     * @param list<BatchRow> $batches
     *
     * @return list<BatchRow>
     */
    private function serving(PlannedDish $planned, array $batches): array
    {
        $of = 0;
        $left = $batches[0]['grams'] ?? 0.0;
        foreach (DemandCurve::of($this->feast, $planned) as $call) {
            $wanted =
                $call['now'] *
                ($planned->demand->portion->countsPieces ? $planned->portionGrams / $planned->demand->portion->amount : 1.0);
            while ($wanted > 0.05 && $of < \count($batches)) {
                $grams = min($wanted, $left);
                if ($grams > 0.05) {
                    $batches[$of]['serves'][] = ['moment' => $call['of']->id, 'grams' => round($grams, 1)];
                }
                $wanted -= $grams;
                $left -= $grams;
                if ($left <= 0.05) {
                    ++$of;
                    $left = $batches[$of]['grams'] ?? 0.0;
                }
            }
        }

        return $batches;
    }

    /** @return list<array<string, mixed>> by the steps, in the vessels in which they really are */
    private function pots(PlannedDish $planned): array
    {
        $pots = [];
        foreach ($this->walk->steps() as $step) {
            if (
                $step->planned->dish === $planned
                && [] !== $step->planned->vessels
                && null === $step->planned->step->vessel?->continues
            ) {
                $pots[] = [
                    'batch' => $step->planned->key->round->id(),
                    'step' => $step->planned->step->id,
                    'vessels' => $step->planned->vessels,
                    'fire' => $step->planned->burner,
                ];
            }
        }

        return $pots;
    }
}
