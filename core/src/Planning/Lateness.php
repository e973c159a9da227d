<?php

declare(strict_types=1);

namespace FeastLadle\Planning;

use FeastLadle\Feast\Feast;
use FeastLadle\Feast\Shift;
use FeastLadle\Heat\Burner;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Kitchen\Person;
use FeastLadle\Recipe\Skill;
use FeastLadle\Schedule\Activity;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\Network;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\Propagation;
use FeastLadle\Schedule\Solver;

/**
 * Why a dish can't be ready in time. First by proof: with its moment made hard, do windows and links alone close? Then by
 * trial: a fire more, a cook more; what would mend it names the bottleneck, and was seen to work.
 */
final readonly class Lateness
{
    private const TRIAL_MS = 40;

    /** A help that leaves more than this share of the delay is not worth naming. */
    private const WORTH_SAYING = 0.7;

    public function __construct(private FeastPlanner $planner)
    {
    }

    public function explain(Plan $plan, Feast $feast, Kitchen $kitchen, ScheduleDraft $draft, ?\DateTimeImmutable $notBefore): Plan
    {
        $late = array_filter($plan->timings, static fn (DishTiming $t): bool => $t->lateMinutes > 0);
        if ([] === $late) {
            return $plan;
        }
        $timings = $plan->timings;
        $leftOut = array_map(static fn (Obstacle $o): string => $o->dish, $plan->obstacles);
        $trials = $this->trials($feast, $kitchen, $plan->quantities, $notBefore, $leftOut);
        foreach ($late as $dish => $timing) {
            $reasons = $this->proof($draft, $dish, $plan, $kitchen);
            foreach ($trials as [$template, $lateness]) {
                if (($lateness[$dish] ?? \PHP_INT_MAX) <= self::WORTH_SAYING * $timing->lateMinutes) {
                    $reasons[] = new Obstacle($dish, $template, [
                        'minutes' => $timing->lateMinutes - $lateness[$dish],
                        'left' => $lateness[$dish],
                    ]);
                }
            }
            if ([] === $reasons) {
                $reasons[] = new Obstacle(
                    $dish,
                    'Its steps need more time than lies between the first shift and its moment. Start earlier, or the day before.',
                );
            }
            $timings[$dish] = new DishTiming($dish, $timing->ready, $timing->due, $timing->lateMinutes, $reasons);
        }

        return $plan->withTimings($timings);
    }

    /** @return list<Obstacle> */
    private function proof(ScheduleDraft $draft, string $dish, Plan $plan, Kitchen $kitchen): array
    {
        $problem = $draft->problem;
        $activities = $problem->activities;
        foreach ($draft->lastOf as $id => $of) {
            if ($of === $dish) {
                $a = $activities[$id];
                $activities[$id] = new Activity($a->id, $a->duration, $a->needs, $a->earliestStart, $a->due->at ?? $a->latestEnd, null);
            }
        }
        $strict = new Problem(
            $problem->horizonStart,
            $problem->horizonEnd,
            $problem->unitSeconds,
            $problem->resources,
            $activities,
            $problem->links,
            $problem->holds,
            $problem->objective,
        );
        $reasons = [];
        foreach ((new Propagation(new Network($strict)))->conflicts as $conflict) {
            $titles = [];
            foreach ($conflict->activities as $id) {
                $key = $draft->steps[$id] ?? null;
                if (null !== $key) {
                    $titles[$plan->quantities->dishes[$key->dish]->dish->recipe->step($key->step)->title] = true;
                }
            }
            $reasons[] =
                'resource' === $conflict->kind
                    ? new Obstacle($dish, 'There is not enough of {resources} before its moment for: {steps}.', [
                        'resources' => ResourceNames::list($kitchen, $conflict->resources),
                        'steps' => implode(', ', array_keys($titles)),
                    ])
                    : new Obstacle($dish, 'Even with every fire and hand free, these steps do not fit before its moment: {steps}.', [
                        'steps' => implode(', ', array_reverse(array_keys($titles))),
                    ]);
        }

        return $reasons;
    }

    /**
     * @param list<string> $without
     *
     * @return list<array{string, array<string, int>}> message, and minutes late by dish in that trial
     */
    private function trials(Feast $feast, Kitchen $kitchen, Quantities $quantities, ?\DateTimeImmutable $notBefore, array $without): array
    {
        $trials = [];
        $strongest = $kitchen->strongestFire();
        if (null !== $strongest) {
            $more = $kitchen->withBurner(
                new Burner('one-more-fire', 'one more fire', $strongest->fuel, $strongest->kilowatts, $strongest->ringDiameterMm),
            );
            $trials[] = [
                'The fires are short: with one more like the strongest it would be ready {minutes} min sooner ({left} min late).',
                $this->lateness($feast, $more, $quantities, $notBefore, $without),
            ];
        }
        /** @var Shift|null $first */
        $first = null;
        foreach ($feast->shifts as $shift) {
            $first = null === $first || $shift->from < $first->from ? $shift : $first;
        }
        if (null !== $first) {
            $cook = new Person('one-more-cook', 'one more cook', Skill::Cook);
            $more = $kitchen->withPerson($cook);
            $helped = $feast->withShift(new Shift($cook->id, $first->from, $feast->lastMoment()->at->modify('+12 hours')));
            $trials[] = [
                'The hands are short: with one more cook from the start it would be ready {minutes} min sooner ({left} min late).',
                $this->lateness($helped, $more, $quantities, $notBefore, $without),
            ];
            if (null === $notBefore || $first->from > $notBefore) {
                $earlier = $feast->withShift(new Shift($first->person, $first->from->modify('-3 hours'), $first->from));
                $trials[] = [
                    'The day is short: starting three hours earlier it would be ready {minutes} min sooner ({left} min late).',
                    $this->lateness($earlier, $kitchen, $quantities, $notBefore, $without),
                ];
            }
        }

        return $trials;
    }

    /**
     * @param list<string> $without
     *
     * @return array<string, int> minutes late by dish
     */
    private function lateness(Feast $feast, Kitchen $kitchen, Quantities $quantities, ?\DateTimeImmutable $notBefore, array $without): array
    {
        $draft = $this->planner->draft($feast, $kitchen, $quantities, $notBefore, $without);
        $solution = (new Solver())->solve($draft->problem, Budget::milliseconds(self::TRIAL_MS));

        return array_map(
            static fn (DishTiming $t): int => $t->lateMinutes,
            $this->planner->assemble($feast, $kitchen, $quantities, $draft, $solution)->timings,
        );
    }
}
