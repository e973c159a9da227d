<?php

declare(strict_types=1);

namespace App\Export;

use FeastLadle\Amounts\MeasuredBowl;
use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Modelling\Obstacle;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedJob;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Stores\StoreLine;

/** A plan as a JSON document: grams, millilitres, minutes and instants with their offset. */
final class PlanJson
{
    public const FORMAT = 'feast-ladle/plan';

    public function write(Feast $feast, Kitchen $kitchen, Plan $plan): string
    {
        return json_encode(
            [
                'format' => self::FORMAT,
                'version' => 1,
                'feast' => $feast->name,
                'guests' => $feast->guests(),
                'moments' => array_map(
                    static fn ($m): array => ['id' => $m->id, 'kind' => $m->kind->value, 'at' => $m->at->format(\DATE_ATOM)],
                    $feast->moments,
                ),
                'inTime' => $plan->isOnTime(),
                'dishes' => array_values(
                    array_map(fn (PlannedDish $d): array => $this->dish($d, $plan, $feast), $plan->quantities->dishes),
                ),
                'stores' => array_map(
                    static fn (StoreLine $l): array => [
                        'ingredient' => $l->ingredient->id,
                        'grams' => round($l->needGrams, 2),
                        'packs' => $l->packs,
                        'pack' => $l->ingredient->buying->pack->name,
                        'leftGrams' => round($l->leftGrams(), 2),
                        'byDish' => array_map(static fn (float $g): float => round($g, 2), $l->byDish),
                    ],
                    $plan->quantities->stores,
                ),
                'steps' => array_map(fn (PlannedStep $s): array => $this->step($s, $feast), $plan->steps),
                'jobs' => array_map(
                    static fn (PlannedJob $j): array => [
                        'name' => $j->name,
                        'start' => $j->start->setTimezone($feast->timeZone)->format(\DATE_ATOM),
                        'end' => $j->end->setTimezone($feast->timeZone)->format(\DATE_ATOM),
                        'burner' => $j->burner,
                        'people' => $j->people,
                    ],
                    $plan->jobs,
                ),
                'obstacles' => array_map($this->obstacle(...), $plan->obstacles),
                'schedule' => [
                    'status' => $plan->solution->status->value,
                    'objective' => $plan->solution->objective,
                    'bound' => $plan->solution->bound,
                ],
            ],
            \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
        );
    }

    /** @return array<string, mixed> */
    private function dish(PlannedDish $planned, Plan $plan, Feast $feast): array
    {
        $timing = $plan->timings[$planned->dish->id] ?? null;
        $pots = [];
        foreach ($planned->batchPlan->pots as $choice) {
            $pots[] = [
                'step' => $choice->run->id,
                'vessel' => $choice->vessel()->id,
                'count' => \count($choice->vessels),
                'fullestMl' => round($choice->fullestMl),
                'brimfulMl' => round($choice->vessel()->shape->brimfulMl()),
                'limit' => $choice->run->limitShare,
            ];
        }

        return [
            'id' => $planned->dish->id,
            'recipe' => $planned->dish->recipe->slug,
            'need' => round($planned->demand->total, 1),
            'unit' => $planned->demand->portion->countsPieces ? $planned->demand->portion->pieceName : 'g',
            'factor' => round($planned->factor, 4),
            'batches' => $planned->batchPlan->batches,
            'pots' => $pots,
            'ready' => $timing?->ready->setTimezone($feast->timeZone)->format(\DATE_ATOM),
            'lateMinutes' => $timing?->lateMinutes,
            'reasons' => array_map($this->obstacle(...), $timing->reasons ?? []),
        ];
    }

    /** @return array<string, mixed> */
    private function step(PlannedStep $step, Feast $feast): array
    {
        return [
            'dish' => $step->key->dish,
            'batch' => null === $step->key->round->wave ? $step->key->round->batch ?? 0 : -$step->key->round->wave,
            'for' => $step->for?->id,
            'step' => $step->key->step,
            'title' => $step->step->title,
            'start' => $step->start->setTimezone($feast->timeZone)->format(\DATE_ATOM),
            'end' => $step->end->setTimezone($feast->timeZone)->format(\DATE_ATOM),
            'minutes' => [$step->minMinutes, $step->minutes(), $step->maxMinutes],
            'attention' => $step->step->work->attention->kind->value,
            'burner' => $step->burner,
            'lid' => $step->lid,
            'vessels' => $step->vessels,
            'people' => $step->people,
            'bowls' => array_map(
                static fn (MeasuredBowl $b): array => [
                    'ingredient' => $b->ingredient->id,
                    'grams' => round($b->grams, 2),
                    'amount' => $b->amount->text(),
                ],
                $step->bowls,
            ),
        ];
    }

    /** @return array{dish: string, text: string} */
    private function obstacle(Obstacle $obstacle): array
    {
        return ['dish' => $obstacle->dish, 'text' => $obstacle->text()];
    }
}
