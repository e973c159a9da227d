<?php

declare(strict_types=1);

namespace App\Service;

use App\Repository\CookEventRepository;
use App\Repository\FeastPlanRepository;
use Doctrine\ORM\EntityManagerInterface;
use FeastLadle\Document\Faults;
use FeastLadle\Document\Node;
use FeastLadle\Planning\DishTiming;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Planning\Obstacle;
use FeastLadle\Planning\Plan;
use FeastLadle\Schedule\ProblemWriter;
use FeastLadle\Schedule\SolutionReader;
use Psr\Clock\ClockInterface;

/** Keeps the plan of a feast until what it was computed from changes; then computes it anew. */
final readonly class PlanStore
{
    /** Raise when the planner changes, so that kept plans are computed anew. */
    private const PLANNER = 'planner-4';

    public function __construct(
        private FeastPlanRepository $plans,
        private CookEventRepository $events,
        private CurrentKitchen $kitchen,
        private FeastPlanner $planner,
        private EntityManagerInterface $entities,
        private ClockInterface $clock,
    ) {
    }

    public function plan(OpenFeast $open): Plan
    {
        $kept = $this->plans->of($open->record);
        $fingerprint = $this->fingerprint($open);
        if ($kept->getFingerprint() === $fingerprint) {
            return $this->restore($open, $kept->getDocument());
        }
        $notBefore = $this->notBefore($open);
        $plan = $this->planner->plan($open->feast, $open->kitchen, $notBefore);
        $kept->keep($fingerprint, $this->written($plan, $notBefore), $this->clock->now());
        $this->entities->persist($kept);
        $this->entities->flush();

        return $plan;
    }

    public function isKept(OpenFeast $open): bool
    {
        return $this->plans->of($open->record)->getFingerprint() === $this->fingerprint($open);
    }

    /** Everything the plan depends on. */
    private function fingerprint(OpenFeast $open): string
    {
        $recipes = [];
        foreach ($open->feast->dishes as $dish) {
            $recipes[] = $dish->recipe;
        }

        return hash('sha256', self::PLANNER.serialize([$open->record->getDocument(), $this->kitchen->get()->getDocument(), $recipes]));
    }

    /** On the day itself nothing can start before now; once work is ticked, the plan stays where it was. */
    private function notBefore(OpenFeast $open): ?\DateTimeImmutable
    {
        $now = $this->clock->now();
        $first = $open->feast->firstMoment()->at;
        foreach ($open->feast->shifts as $shift) {
            $first = min($first, $shift->from);
        }

        return $now > $first && $now < $open->feast->lastMoment()->at && 0 === $this->events->version($open->record) ? $now : null;
    }

    private function written(Plan $plan, ?\DateTimeImmutable $notBefore): string
    {
        $obstacle = static fn (Obstacle $o): array => ['dish' => $o->dish, 'template' => $o->template, 'values' => $o->values];

        return json_encode([
            'notBefore' => $notBefore?->getTimestamp(),
            'without' => array_values(array_filter(array_map(static fn (Obstacle $o): string => $o->dish, $plan->obstacles))),
            'obstacles' => array_map($obstacle, $plan->obstacles),
            'reasons' => array_map(static fn (DishTiming $t): array => array_map($obstacle, $t->reasons), $plan->timings),
            'solution' => (new ProblemWriter())->solution($plan->solution, 0),
        ], \JSON_THROW_ON_ERROR);
    }

    private function restore(OpenFeast $open, string $document): Plan
    {
        $faults = new Faults();
        $root = Node::root(json_decode($document, true, 64, \JSON_THROW_ON_ERROR), $faults);
        $obstacle = static function (Node $node): Obstacle {
            $values = [];
            foreach ($node->at('values')->fields() as $name => $value) {
                $values[$name] = $value->isNumber() ? $value->number(-1e12, 1e12) : $value->string('', 2000);
            }

            return new Obstacle($node->at('dish')->string(''), $node->at('template')->string('', 500), $values);
        };
        $notBefore = $root->has('notBefore') ? new \DateTimeImmutable('@'.$root->at('notBefore')->int(0, \PHP_INT_MAX)) : null;
        $quantities = $this->planner->quantities($open->feast, $open->kitchen);
        $draft = $this->planner->draft($open->feast, $open->kitchen, $quantities, $notBefore, array_map(static fn (Node $n): string => $n->string(), $root->at('without')->items()));
        $plan = $this->planner->assemble($open->feast, $open->kitchen, $quantities, $draft, (new SolutionReader())->fromNode($root->at('solution'), $faults));
        $timings = [];
        foreach ($plan->timings as $dish => $timing) {
            $timings[$dish] = new DishTiming($dish, $timing->ready, $timing->due, $timing->lateMinutes, array_map($obstacle, $root->at('reasons')->at($dish)->items()));
        }

        return new Plan($plan->quantities, $plan->problem, $plan->solution, $plan->origin, $plan->steps, $timings, array_map($obstacle, $root->at('obstacles')->items()));
    }
}
