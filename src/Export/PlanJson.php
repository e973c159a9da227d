<?php

declare(strict_types=1);

namespace App\Export;

use FeastLadle\Diet\DietGrid;
use FeastLadle\Explaining\BottleEnd;
use FeastLadle\Explaining\FireFuel;
use FeastLadle\Explaining\FuelTally;
use FeastLadle\Explaining\MomentChance;
use FeastLadle\Explaining\MomentChances;
use FeastLadle\Explaining\StepPlaces;
use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Modelling\Obstacle;
use FeastLadle\Portion\Group;
use FeastLadle\Schedule\Risk;
use FeastLadle\Schedule\RiskReport;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Solving\DishTiming;
use FeastLadle\Solving\Overrun;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedJob;
use FeastLadle\Standing\HeldDish;
use FeastLadle\Standing\Holds;
use FeastLadle\Standing\HoldTask;
use FeastLadle\Standing\HoldTasks;
use FeastLadle\Standing\Waiting;
use FeastLadle\Standing\Walk;
use FeastLadle\Stores\StoreLine;

/** A plan as a JSON document that a checker can read without the recipe beside it: docs/formats/plan.schema.json. */
final readonly class PlanJson
{
    public const FORMAT = 'feast-ladle/plan';
    public const VERSION = 2;

    /** @param int $runs futures of which the chances are told */
    public function __construct(private Larder $larder, private int $runs = Risk::USUAL_RUNS)
    {
    }

    public function write(Feast $feast, Kitchen $kitchen, Plan $plan): string
    {
        $walk = Walk::through($feast, $plan, $kitchen, $this->larder);
        $held = Holds::of($feast, $plan, $walk, $kitchen, $this->larder);
        $tasks = new HoldTasks($feast, $plan, $kitchen, $this->larder);
        $risk = $this->risk($plan);
        $chances = MomentChances::of($feast, $plan, $risk);
        $clock = new PlanClock($plan->origin, $feast->timeZone);
        $dishes = new PlanDishes($feast, $plan, $walk, $clock, $risk->chances ?? []);
        $topUps = $this->topUps($walk);
        $steps = new PlanSteps($plan, $this->larder, $clock, StepPlaces::of($plan, $kitchen));

        return json_encode(
            [
                'format' => self::FORMAT,
                'version' => self::VERSION,
                'fingerprint' => hash('sha256', serialize([$feast, $kitchen])),
                'feast' => $feast->name,
                'timeZone' => $feast->timeZone->getName(),
                'word' => $chances->word($plan)->value,
                'chance' => null === $chances->least()?->chance ? null : round($chances->least()->chance, 3),
                'inTime' => $plan->isOnTime(),
                'moments' => array_map(fn (MomentChance $m): array => $this->moment($m, $feast), $chances->moments),
                'guests' => $this->guests($feast, $kitchen),
                'dishes' => $dishes->all($held),
                'steps' => array_map($steps->step(...), array_values($walk->steps())),
                'waits' => array_map(fn (Waiting $w): array => $this->wait($w, $clock), $walk->waits()),
                'holds' => array_map(fn (HeldDish $h): array => $this->hold($h, $tasks->of($h), $clock), $held),
                'jobs' => array_map(
                    static fn (int $i, PlannedJob $j): array => [
                        'id' => 'job-'.($i + 1),
                        'name' => $j->name,
                        'start' => $clock->instant($j->start),
                        'end' => $clock->instant($j->end),
                        'fire' => $j->burner,
                        'people' => $j->people,
                    ],
                    array_keys($plan->jobs),
                    $plan->jobs,
                ),
                'stores' => array_map(
                    fn (StoreLine $l): array => $this->store($l, $topUps[$l->ingredient->id] ?? 0.0),
                    $plan->quantities->stores,
                ),
                'fuel' => array_map(
                    static fn (FireFuel $f): array => [
                        'fire' => $f->fire,
                        'minutes' => round($f->minutes),
                        $f->unit => round($f->amount, 3),
                        'bottles' => array_map(
                            static fn (BottleEnd $b): array => ['number' => $b->number, 'ends' => $clock->instant($b->at)],
                            $f->bottles,
                        ),
                    ],
                    FuelTally::of($plan, $kitchen),
                ),
                'obstacles' => array_map($this->obstacle(...), [
                    ...$plan->obstacles,
                    ...$plan->clocks,
                    ...array_map(static fn (Overrun $o): Obstacle => $o->obstacle, $plan->overruns),
                    ...array_merge(...array_map(self::binds(...), array_values($plan->timings))),
                ]),
                'schedule' => [
                    'status' => $plan->solution->status->value,
                    'objective' => $plan->solution->objective,
                    'bound' => $plan->solution->bound,
                ],
            ],
            \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
        );
    }

    private function risk(Plan $plan): ?RiskReport
    {
        return SolutionStatus::Feasible !== $plan->solution->status || [] === $plan->steps
            ? null
            : Risk::of($plan->problem, $plan->solution, $this->runs, grace: $plan->margins);
    }

    /** @return array<string, float> grams of fat by ingredient that make up for what pieces drink */
    private function topUps(Walk $walk): array
    {
        $grams = [];
        foreach ($walk->steps() as $step) {
            foreach ($step->enters as $entering) {
                if ($entering->topUp && null !== $entering->take->ingredient) {
                    $id = $entering->take->ingredient;
                    $grams[$id] = ($grams[$id] ?? 0.0) + $entering->what->massGrams();
                }
            }
        }

        return $grams;
    }

    /** @return array<string, mixed> */
    private function moment(MomentChance $sure, Feast $feast): array
    {
        $moment = $sure->moment;
        $guests = [];
        foreach ($feast->groups as $group) {
            if (null === $group->at || $group->at === $moment->id) {
                $guests[$group->id] = $group->count;
            }
        }

        return [
            'id' => $moment->id,
            'name' => $moment->name,
            'kind' => $moment->kind->value,
            'at' => $moment->at->format(\DATE_ATOM),
            'servingMinutes' => $moment->servingMinutes,
            'bowls' => $moment->bowls,
            'guests' => (object) $guests,
            'word' => $sure->word->value,
            'chance' => null === $sure->chance ? null : round($sure->chance, 3),
            'wish' => $moment->wish(),
        ];
    }

    /** @return list<array<string, mixed>> */
    private function guests(Feast $feast, Kitchen $kitchen): array
    {
        $grid = (new DietGrid($this->larder, $kitchen))->of($feast);

        return array_map(static function (Group $group) use ($feast, $grid): array {
            $eats = $without = [];
            foreach ($feast->dishes as $dish) {
                $culprits = $grid[$dish->id][$group->id];
                if ([] === $culprits) {
                    $eats[$dish->id] = (int) round($group->count * $dish->uptake);
                } else {
                    $without[$dish->id] = $culprits[0]->source->name;
                }
            }

            return [
                'group' => $group->id,
                'count' => $group->count,
                'appetite' => $group->appetite,
                'avoids' => $group->avoids,
                'eats' => (object) $eats,
                'without' => (object) $without,
            ];
        }, $feast->groups);
    }

    /** @return array<string, mixed> */
    private function wait(Waiting $wait, PlanClock $clock): array
    {
        return [
            'of' => $wait->of->planned->key->id().(null === $wait->output ? '' : ':'.$wait->output),
            'for' => $wait->for->key->id(),
            'from' => $clock->minute($wait->readings[0]->minute),
            'until' => $clock->minute($wait->readings[\count($wait->readings) - 1]->minute),
            'vessel' => $wait->vessel?->id,
            'where' => $wait->place->value,
            'lid' => $wait->lid,
            'celsius' => [round($wait->readings[0]->celsius, 1), round($wait->celsius(), 1)],
            'bandMinutes' => round($wait->bandMinutes),
            'lossGrams' => round($wait->lossGrams, 1),
        ];
    }

    /**
     * @param list<HoldTask> $tasks
     *
     * @return array<string, mixed>
     */
    private function hold(HeldDish $hold, array $tasks, PlanClock $clock): array
    {
        $last = $hold->readings[\count($hold->readings) - 1];

        return [
            'dish' => $hold->last->planned->key->dish,
            'batch' => $hold->last->planned->key->round->id(),
            'where' => $hold->fire ?? $hold->place->value,
            'vessel' => $hold->vessel?->id,
            'from' => $clock->minute($hold->readings[0]->minute),
            'until' => $clock->minute($last->minute),
            'celsius' => [round($hold->readings[0]->celsius, 1), round($last->celsius, 1)],
            'bandMinutes' => round($hold->bandMinutes),
            'exempt' => $hold->exempt?->value,
            'do' => array_map(static fn (HoldTask $t): array => [
                'at' => $clock->minute($t->minute),
                'what' => $t->kind->value,
                'ingredient' => $t->ingredient,
                'grams' => null === $t->grams ? null : round($t->grams, 1),
            ], $tasks),
        ];
    }

    /** @return array<string, mixed> */
    private function store(StoreLine $line, float $topUp): array
    {
        return [
            'ingredient' => $line->ingredient->id,
            'grams' => round($line->needGrams, 2),
            'inBowls' => round(max(0.0, $line->needGrams - $line->reserve - $topUp), 2),
            'reserve' => round($line->reserve, 2),
            'topUp' => round($topUp, 2),
            'buy' => round($line->buyGrams(), 2),
            'left' => round($line->leftGrams(), 2),
            'packs' => $line->packs,
            'pack' => $line->ingredient->buying->pack->name,
            'byDish' => (object) array_map(static fn (float $g): float => round($g, 2), $line->byDish),
        ];
    }

    /** @return array<string, mixed> */
    private function obstacle(Obstacle $obstacle): array
    {
        return [
            'dish' => $obstacle->dish,
            'kind' => $obstacle->kind->value,
            'step' => $obstacle->step,
            'sentence' => $obstacle->text(),
            'tested' => null !== $obstacle->mend,
            'mends' => null === $obstacle->mend ? [] : [[
                'sentence' => $obstacle->text(),
                'change' => $obstacle->mend->kind->value,
                'word' => 0 === $obstacle->mend->lateMinutes ? 'in-time' : 'late',
                'lateMinutes' => $obstacle->mend->lateMinutes,
            ]],
        ];
    }

    /** @return list<Obstacle> why a dish is late */
    private static function binds(DishTiming $timing): array
    {
        return $timing->lateMinutes > 0 ? $timing->reasons : [];
    }
}
