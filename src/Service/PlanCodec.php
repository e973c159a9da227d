<?php

declare(strict_types=1);

namespace App\Service;

use FeastLadle\Amounts\Making;
use FeastLadle\Amounts\QuantityPlanner;
use FeastLadle\Amounts\Wait;
use FeastLadle\Document\Faults;
use FeastLadle\Document\Node;
use FeastLadle\Larder\Larder;
use FeastLadle\Modelling\Mend;
use FeastLadle\Modelling\MendKind;
use FeastLadle\Modelling\Obstacle;
use FeastLadle\Modelling\ObstacleKind;
use FeastLadle\Schedule\ProblemWriter;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionReader;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Solving\DishTiming;
use FeastLadle\Solving\FailedAudit;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\Solve;
use FeastLadle\Solving\Task;
use FeastLadle\Standing\Clocks;

/** A plan as it is kept: the solution with what was said beside it; the problem is built again from the feast. */
final readonly class PlanCodec
{
    /** Of a window that is no window any more; JSON has no infinity. */
    private const AS_LONG_AS_IT_TAKES = 1e9;

    public function __construct(private Larder $larder)
    {
    }

    /** From which minute on the kept plan was made; null when from its beginning. */
    public function notBefore(string $document): ?\DateTimeImmutable
    {
        $root = $this->root($document, new Faults());

        return $root->has('notBefore') ? new \DateTimeImmutable('@'.$root->at('notBefore')->int(0, \PHP_INT_MAX)) : null;
    }

    /** The kept solution, to begin from; null when there is none or its minutes count from elsewhere. */
    public function solution(string $document, ?\DateTimeImmutable $notBefore): ?Solution
    {
        $faults = new Faults();
        $root = $this->root($document, $faults);
        // Minutes of a plan that begins elsewhere are other minutes.
        $sameStart = $notBefore?->getTimestamp() === $this->notBefore($document)?->getTimestamp();
        $solution = $sameStart && $root->has('solution') ? (new SolutionReader())->fromNode($root->at('solution'), $faults) : null;

        return $faults->isEmpty() && SolutionStatus::Feasible === $solution?->status ? $solution : null;
    }

    private function root(string $document, Faults $faults): Node
    {
        return Node::root(json_decode('' === $document ? '{}' : $document, true, 64, \JSON_THROW_ON_ERROR), $faults);
    }

    public function write(Plan $plan, ?\DateTimeImmutable $notBefore): string
    {
        $obstacle = static fn (Obstacle $o): array => [
            'dish' => $o->dish,
            'says' => $o->sentence->id,
            'values' => $o->sentence->values,
            'kind' => $o->kind->value,
            'step' => $o->step ?? '',
            ...null === $o->mend ? [] : ['mend' => $o->mend->kind->value, 'left' => $o->mend->lateMinutes],
        ];

        return json_encode(
            [
                'notBefore' => $notBefore?->getTimestamp(),
                'toTheMinute' => $plan->isToTheMinute,
                'without' => array_values(array_filter(array_map(static fn (Obstacle $o): string => $o->dish, $plan->obstacles))),
                'obstacles' => array_map($obstacle, $plan->obstacles),
                'reasons' => array_map(static fn (DishTiming $t): array => array_map($obstacle, $t->reasons), $plan->timings),
                'making' => $this->told($plan->quantities->making),
                'solution' => (new ProblemWriter())->solution($plan->solution, 0),
            ],
            \JSON_THROW_ON_ERROR,
        );
    }

    /** @return array<string, array<string, int|string|bool|float>> */
    private function told(Making $making): array
    {
        return [
            'batches' => $making->batches,
            'hands' => $making->hands,
            'waits' => array_map(static fn (Wait $w): string => $w->value, $making->waits),
            'pots' => $making->pots,
            'windows' => array_map(
                static fn (float $times): float => \INF === $times ? self::AS_LONG_AS_IT_TAKES : $times,
                $making->windows,
            ),
        ];
    }

    private function making(Node $node): Making
    {
        $making = Making::usual();
        foreach ($node->at('batches')->fields() as $dish => $least) {
            $making = $making->ofBatches($dish, $least->int(1, 1000));
        }
        foreach ($node->at('hands')->fields() as $dish => $most) {
            $making = $making->byHands($dish, $most->int(1, \PHP_INT_MAX));
        }
        foreach ($node->at('waits')->fields() as $dish => $wait) {
            $making = $making->waiting($dish, $wait->enum(Wait::class));
        }
        foreach (array_keys($node->at('pots')->fields()) as $dish) {
            $making = $making->inSlowerPotsToo((string) $dish);
        }
        foreach ($node->at('windows')->fields() as $dish => $place) {
            $times = $place->number(1, self::AS_LONG_AS_IT_TAKES);
            $making = $making->stretching($dish, self::AS_LONG_AS_IT_TAKES === $times ? \INF : $times);
        }

        return $making;
    }

    /** @throws FailedAudit when the planner has learnt something since */
    public function read(OpenFeast $open, string $document): Plan
    {
        $faults = new Faults();
        $root = Node::root(json_decode($document, true, 64, \JSON_THROW_ON_ERROR), $faults);
        $obstacle = static function (Node $node): Obstacle {
            $values = [];
            foreach ($node->at('values')->fields() as $name => $value) {
                $values[$name] = $value->isNumber() ? $value->number(-1e12, 1e12) : $value->string('', 2000);
            }

            return new Obstacle(
                $node->at('dish')->string(''),
                $node->at('says')->string('', 500),
                $values,
                $node->at('kind')->enum(ObstacleKind::class, ObstacleKind::Window),
                '' === ($step = $node->at('step')->string('', 200)) ? null : $step,
                $node->has('mend') ? new Mend($node->at('mend')->enum(MendKind::class), $node->at('left')->int(0, \PHP_INT_MAX, 0)) : null,
            );
        };
        $notBefore = $root->has('notBefore') ? new \DateTimeImmutable('@'.$root->at('notBefore')->int(0, \PHP_INT_MAX)) : null;
        $toTheMinute = $root->at('toTheMinute')->bool(false);
        $feast = $toTheMinute ? $open->feast->atTheMinute() : $open->feast;
        $out = array_map(static fn (Node $n): string => $n->string(), $root->at('without')->items());
        $task = new Task(
            $feast,
            $open->kitchen,
            (new QuantityPlanner($this->larder))->plan($feast, $open->kitchen, $this->making($root->at('making'))),
            $notBefore,
            $out,
        );
        $solve = new Solve($this->larder);
        $plan = $solve->plan($task, $solve->model($task), (new SolutionReader())->fromNode($root->at('solution'), $faults));
        $plan = $toTheMinute ? $plan->toTheMinute() : $plan;
        $timings = [];
        foreach ($plan->timings as $dish => $timing) {
            $timings[$dish] = new DishTiming(
                $dish,
                $timing->ready,
                $timing->due,
                $timing->lateMinutes,
                array_map($obstacle, $root->at('reasons')->at($dish)->items()),
            );
        }

        $plan = $plan->withTimings($timings)->withObstacles(array_map($obstacle, $root->at('obstacles')->items()));

        return (new Clocks($this->larder))->watch($feast, $plan, $open->kitchen);
    }
}
