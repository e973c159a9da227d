<?php

declare(strict_types=1);

namespace App\Service;

use App\Repository\CookEventRepository;
use App\Repository\FeastPlanRepository;
use Doctrine\ORM\EntityManagerInterface;
use FeastLadle\Document\Faults;
use FeastLadle\Document\Node;
use FeastLadle\Planning\DishTiming;
use FeastLadle\Planning\FailedAudit;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Planning\Obstacle;
use FeastLadle\Planning\Plan;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\ProblemWriter;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionReader;
use FeastLadle\Schedule\SolutionStatus;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\RequestStack;

/** Keeps the plan of a feast until what it was computed from changes; then computes it anew. */
final readonly class PlanStore
{
    /** A page that asks with this header doesn't wait for a schedule. */
    public const AT_ONCE = 'X-At-Once';

    /** A round of looking for a better plan. */
    private const SEARCH_MS = 400;

    /** Raise when the planner changes, so that kept plans are computed anew. */
    private const PLANNER = 'planner-17';

    public function __construct(
        private FeastPlanRepository $plans,
        private CookEventRepository $events,
        private FeastPlanner $planner,
        private EntityManagerInterface $entities,
        private ClockInterface $clock,
        private KitchenLarder $larder,
        private RequestStack $requests,
    ) {
    }

    /** @param bool $near whether what was planned before should move as little as may be */
    public function plan(OpenFeast $open, bool $near = false): Plan
    {
        $kept = $this->plans->of($open->record);
        $fingerprint = $this->fingerprint($open);
        if ($kept->getFingerprint() === $fingerprint) {
            try {
                return $this->restore($open, $kept->getDocument());
            } catch (FailedAudit) {
                // The planner has learnt something since: this feast is planned anew.
            }
        }
        $notBefore = $this->notBefore($open);
        $plan = $this->planner->plan(
            $open->feast,
            $open->kitchen,
            $notBefore,
            near: $near ? $this->former($kept->getDocument(), $notBefore) : null,
        );
        $kept->keep($fingerprint, $this->written($plan, $notBefore), $this->clock->now());
        $this->entities->persist($kept);
        $this->entities->flush();

        return $plan;
    }

    /** Looks a while longer for a better plan; the better one is kept. */
    public function improve(OpenFeast $open, int $seed): Plan
    {
        $plan = $this->plan($open);
        $kept = $this->plans->of($open->record);
        $root = Node::root(json_decode($kept->getDocument(), true, 64, \JSON_THROW_ON_ERROR), new Faults());
        $notBefore = $root->has('notBefore') ? new \DateTimeImmutable('@'.$root->at('notBefore')->int(0, \PHP_INT_MAX)) : null;
        $better = $this->planner->improve(
            $plan->isToTheMinute ? $open->feast->atTheMinute() : $open->feast,
            $open->kitchen,
            $plan,
            $notBefore,
            Budget::milliseconds(self::SEARCH_MS),
            $seed,
        );
        if (null === $better) {
            return $plan;
        }
        $better = $plan->isToTheMinute ? $better->toTheMinute() : $better;
        $kept->keep($this->fingerprint($open), $this->written($better, $notBefore), $this->clock->now());
        $this->entities->flush();

        return $better;
    }

    private function former(string $document, ?\DateTimeImmutable $notBefore): ?Solution
    {
        $faults = new Faults();
        $root = Node::root(json_decode('' === $document ? '{}' : $document, true, 64, \JSON_THROW_ON_ERROR), $faults);
        // Minutes of a plan that begins elsewhere are other minutes.
        $sameStart = $notBefore?->getTimestamp() === ($root->has('notBefore') ? $root->at('notBefore')->int(0, \PHP_INT_MAX) : null);
        $solution = $sameStart && $root->has('solution') ? (new SolutionReader())->fromNode($root->at('solution'), $faults) : null;

        return $faults->isEmpty() && SolutionStatus::Feasible === $solution?->status ? $solution : null;
    }

    /** The plan for a page that has just been changed in place: its amounts at once; when and by whom follows with the next answer. */
    public function shown(OpenFeast $open): Plan
    {
        $waits = null === $this->requests->getCurrentRequest()?->headers->get(self::AT_ONCE);

        return $waits || $this->isKept($open)
            ? $this->plan($open)
            : Plan::unscheduled($this->planner->quantities($open->feast, $open->kitchen));
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

        return hash(
            'sha256',
            self::PLANNER.
                $this->larder->fingerprint().
                serialize([$open->record->getDocument(), $open->record->getKitchen()->getDocument(), $recipes]),
        );
    }

    /** On the day itself nothing can start before now; once work is ticked, the plan stays where it was. */
    private function notBefore(OpenFeast $open): ?\DateTimeImmutable
    {
        $now = $this->clock->now();
        $first = $open->feast->firstMoment()->at;
        foreach ($open->feast->shifts as $shift) {
            $first = min($first, $shift->from);
        }

        return $now > $first && $now < $open->feast->lastMoment()->at && !$this->isBegun($open) ? $now : null;
    }

    /** Measuring out is not yet cooking. */
    private function isBegun(OpenFeast $open): bool
    {
        foreach ($this->events->log($open->record) as $event) {
            if (!str_contains($event->getStep(), '#')) {
                return true;
            }
        }

        return false;
    }

    private function written(Plan $plan, ?\DateTimeImmutable $notBefore): string
    {
        $obstacle = static fn (Obstacle $o): array => ['dish' => $o->dish, 'template' => $o->template, 'values' => $o->values];

        return json_encode(
            [
                'notBefore' => $notBefore?->getTimestamp(),
                'toTheMinute' => $plan->isToTheMinute,
                'without' => array_values(array_filter(array_map(static fn (Obstacle $o): string => $o->dish, $plan->obstacles))),
                'obstacles' => array_map($obstacle, $plan->obstacles),
                'reasons' => array_map(static fn (DishTiming $t): array => array_map($obstacle, $t->reasons), $plan->timings),
                'solution' => (new ProblemWriter())->solution($plan->solution, 0),
            ],
            \JSON_THROW_ON_ERROR,
        );
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
        $toTheMinute = $root->at('toTheMinute')->bool(false);
        $feast = $toTheMinute ? $open->feast->atTheMinute() : $open->feast;
        $quantities = $this->planner->quantities($feast, $open->kitchen);
        $draft = $this->planner->draft(
            $feast,
            $open->kitchen,
            $quantities,
            $notBefore,
            array_map(static fn (Node $n): string => $n->string(), $root->at('without')->items()),
        );
        $plan = $this->planner->assemble(
            $feast,
            $open->kitchen,
            $quantities,
            $draft,
            (new SolutionReader())->fromNode($root->at('solution'), $faults),
        );
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

        return $plan->withTimings($timings)->withObstacles(array_map($obstacle, $root->at('obstacles')->items()));
    }
}
