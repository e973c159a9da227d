<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Feast\Shift;
use FeastLadle\Heat\Burner;
use FeastLadle\Kitchen\Person;
use FeastLadle\Modelling\Mend;
use FeastLadle\Modelling\MendKind;
use FeastLadle\Modelling\Obstacle;
use FeastLadle\Modelling\ObstacleKind;
use FeastLadle\Modelling\ResourceNames;
use FeastLadle\Modelling\ScheduleModel;
use FeastLadle\Recipe\Skill;
use FeastLadle\Schedule\Activity;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\ConflictKind;
use FeastLadle\Schedule\Network;
use FeastLadle\Schedule\Propagation;
use FeastLadle\Solving\DishTiming;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\Solve;
use FeastLadle\Solving\Task;

/**
 * Why a dish can't be ready in time. First by proof: with its moment made hard, do windows and links alone close? Then by
 * trial: a fire more, a cook more; what would mend it names the bottleneck, and was seen to work.
 */
final readonly class Lateness
{
    private const TRIAL_MS = 40;

    /** A help is not denied for want of looking. */
    private const PATIENCE = 3;

    /** A help that leaves more than this share of the delay is not worth naming. */
    private const WORTH_SAYING = 0.7;

    public function __construct(private Solve $solve)
    {
    }

    public function explain(Plan $plan, Task $task, ScheduleModel $model): Plan
    {
        $late = array_filter($plan->timings, static fn (DishTiming $t): bool => $t->lateMinutes > 0);
        if ([] === $late) {
            return $plan;
        }
        $timings = $plan->timings;
        $leftOut = array_map(static fn (Obstacle $o): string => $o->dish, $plan->obstacles);
        $trials = $this->trials($task->without($leftOut));
        foreach ($late as $dish => $timing) {
            $reasons = $this->proof($model, $dish, $task);
            foreach ($trials as [$template, $lateness, $change]) {
                if (($lateness[$dish] ?? \PHP_INT_MAX) <= self::WORTH_SAYING * $timing->lateMinutes) {
                    $reasons[] = new Obstacle($dish, $template, [
                        'minutes' => $timing->lateMinutes - $lateness[$dish],
                        'left' => $lateness[$dish],
                    ], self::kind($change), mend: new Mend($change, $lateness[$dish]));
                }
            }
            if ([] === $reasons) {
                $reasons[] = new Obstacle(
                    $dish,
                    'More of each was tried by itself (a fire, a cook, hours where there are any left): none alone makes it much sooner.',
                );
            }
            $timings[$dish] = new DishTiming($dish, $timing->ready, $timing->due, $timing->lateMinutes, $reasons);
        }

        return $plan->withTimings($timings);
    }

    /** @return list<Obstacle> */
    private function proof(ScheduleModel $model, string $dish, Task $task): array
    {
        $problem = $model->problem;
        $activities = $problem->activities;
        foreach ($model->lastOf as $id => $of) {
            if ($of === $dish) {
                $a = $activities[$id];
                $activities[$id] = new Activity($a->id, $a->duration, $a->needs, $a->earliestStart, $a->due->at ?? $a->latestEnd, null);
            }
        }
        $strict = $problem->with(activities: $activities);
        $reasons = [];
        foreach ((new Propagation(new Network($strict)))->conflicts as $conflict) {
            $titles = [];
            foreach ($conflict->activities as $id) {
                $key = $model->steps[$id] ?? null;
                if (null !== $key) {
                    $titles[$task->quantities->dishes[$key->dish]->dish->recipe->step($key->step)->title] = true;
                }
            }
            $reasons[] =
                ConflictKind::Resource === $conflict->kind
                    ? new Obstacle(
                        $dish,
                        'There is not enough of {resources} before its moment for: {steps}.',
                        [
                            'resources' => ResourceNames::list($task->kitchen, $conflict->resources),
                            'steps' => implode(', ', array_keys($titles)),
                        ],
                        ResourceNames::kind($task->kitchen, ...$conflict->resources),
                    )
                    : new Obstacle($dish, 'Even with every fire and hand free, these steps do not fit before its moment: {steps}.', [
                        'steps' => implode(', ', array_reverse(array_keys($titles))),
                    ]);
        }

        return $reasons;
    }

    private static function kind(MendKind $change): ObstacleKind
    {
        return match ($change) {
            MendKind::Fire => ObstacleKind::Fire,
            MendKind::Vessel => ObstacleKind::Vessel,
            default => ObstacleKind::Hands,
        };
    }

    /** @return list<array{string, array<string, int>, MendKind}> message, minutes late by dish in that trial, and what was given more of */
    private function trials(Task $task): array
    {
        [$feast, $kitchen] = [$task->feast, $task->kitchen];
        $budget = Budget::milliseconds(self::TRIAL_MS)->patient(self::PATIENCE);
        $trials = [];
        $strongest = $kitchen->strongestFire();
        if (null !== $strongest) {
            $more = $kitchen->withBurner(
                new Burner('one-more-fire', 'one more fire', $strongest->fuel, $strongest->kilowatts, $strongest->ringDiameterMm),
            );
            $trials[] = [
                'The fires are short: with one more like the strongest it would be ready {minutes} min sooner ({left} min late).',
                $this->solve->lateness($task->by($feast, $more), $budget),
                MendKind::Fire,
            ];
        }
        /** @var Shift|null $first */
        $first = null;
        $cook = new Person('one-more-cook', 'one more cook', Skill::Cook);
        $helped = $feast;
        foreach ($feast->shifts as $shift) {
            $first = null === $first || $shift->from < $first->from ? $shift : $first;
            // In the hours in which others are there: what more hours would do is another question.
            $helped = $helped->withShift(new Shift($cook->id, $shift->from, $shift->to));
        }
        if (null === $first) {
            return $trials;
        }
        $trials[] = [
            'The hands are short: with one more cook from the start it would be ready {minutes} min sooner ({left} min late).',
            $this->solve->lateness($task->by($helped, $kitchen->withPerson($cook)), $budget),
            MendKind::Hands,
        ];
        if (null === $task->notBefore || $first->from > $task->notBefore) {
            $earlier = $feast->withShift(new Shift($first->person, $first->from->modify('-3 hours'), $first->from));
            $trials[] = [
                'The day is short: starting three hours earlier it would be ready {minutes} min sooner ({left} min late).',
                $this->solve->lateness($task->by($earlier), $budget),
                MendKind::Hours,
            ];
            $evening = $feast->firstMoment()->at->modify('-1 day');
            $before = $feast;
            foreach (array_unique(array_map(static fn (Shift $s): string => $s->person, $feast->shifts)) as $person) {
                $before = $before->withShift(new Shift($person, $evening->setTime(15, 0), $evening->setTime(20, 0)));
            }
            $trials[] = [
                'The day is short: with everybody there from 15 to 20 the day before it would be ready {minutes} min sooner ({left} '
                    .'min late).',
                $this->solve->lateness($task->by($before), $budget),
                MendKind::DayBefore,
            ];
        }

        return $trials;
    }
}
