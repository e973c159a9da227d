<?php

declare(strict_types=1);

namespace App\Service;

use FeastLadle\Document\FaultyDocument;
use FeastLadle\Explaining\MakeOrBuy;
use FeastLadle\Explaining\PlanComparison;
use FeastLadle\Feast\FeastDocument;
use FeastLadle\Heat\Burner;
use FeastLadle\Larder\Larder;
use FeastLadle\Solving\Plan;
use FeastLadle\Vessel\Vessel;

/** What may be tried with a plan: a fire, a helper, an earlier or later start, the day before, a bought base, a dish less. */
final readonly class Scenarios
{
    /** So many vessels are tried a second of. */
    private const MOST_VESSELS = 3;

    /** Minutes by which the day is tried to begin later. */
    private const LATER = [45, 90];

    /** Seconds to which a time is rounded that people are told to come at. */
    private const ROUNDED = 300;

    /** Minutes by which a sweet is tried to be ready sooner. */
    private const SOONER = 20;

    public function __construct(private RecipeBook $recipes, private Larder $larder, private DayPolicy $day)
    {
    }

    /** @return array<string, Scenario> by id, what changes least first */
    public function of(OpenFeast $open, Plan $plan): array
    {
        $scenarios = [];
        $add = static function (Scenario $s) use (&$scenarios): void {
            $scenarios[$s->id] = $s;
        };
        $document = FeastDocument::of($open->document);
        $first = $open->feast->firstMoment()->at->setTimezone($open->feast->timeZone);
        foreach ([30, 60] as $minutes) {
            if ($minutes > $open->feast->marginMinutes) {
                $add(
                    new Scenario(
                        'margin-'.$minutes,
                        'Everything ready {minutes} min before its moment',
                        ['{minutes}' => $minutes],
                        'hot things wait longer',
                        $document->withMargin($minutes),
                    ),
                );
            }
        }
        foreach ([...$this->later($open, $plan, $document), ...$this->sooner($open, $document)] as $scenario) {
            $add($scenario);
        }
        $strongest = $open->kitchen->strongestFire();
        if (null !== $strongest) {
            $add(
                new Scenario(
                    'fire',
                    'One fire more, like the strongest',
                    [],
                    'it has to be there: enter it under Kitchen',
                    null,
                    $open->kitchen->withBurner(
                        new Burner(
                            'one-more-fire',
                            'one more fire',
                            $strongest->fuel,
                            $strongest->kilowatts,
                            $strongest->ringDiameterMm,
                        ),
                    ),
                    adds: true,
                ),
            );
        }
        foreach ($this->busyVessels($plan) as $id => $dish) {
            $vessel = $open->kitchen->vessels[$id];
            $add(
                new Scenario(
                    'vessel-'.$id,
                    'A second vessel like {vessel}',
                    ['{vessel}' => $vessel->name],
                    'it has to be borrowed: enter it under Kitchen',
                    null,
                    $open->kitchen->withVessel(
                        new Vessel(
                            'one-more-'.$id,
                            'one more '.$vessel->name,
                            $vessel->kind,
                            $vessel->shape,
                            $vessel->metal,
                            $vessel->emptyKg,
                        ),
                    ),
                    adds: true,
                ),
            );
        }
        $from = $first->modify('-4 hours')->format('H:i');
        foreach ($open->kitchen->people as $person) {
            $there = array_filter(
                $open->feast->shifts,
                static fn ($s): bool => $s->person === $person->id && $s->from <= $first->modify('-4 hours') && $s->to >= $first,
            );
            if ([] === $there) {
                $add(
                    new Scenario(
                        'helper-'.$person->id,
                        '{name} there from {from}',
                        ['{name}' => $person->name, '{from}' => $from],
                        'somebody has to come',
                        $document->withShift(
                            $person->id,
                            0,
                            $from,
                            $open->feast->lastMoment()->at->setTimezone($open->feast->timeZone)->format('H:i'),
                        ),
                        adds: true,
                    ),
                );
            }
        }
        $cook = array_key_first(array_filter($open->kitchen->people, static fn ($p): bool => 'cook' === $p->skill->value));
        if (null !== $cook) {
            $add(
                new Scenario(
                    'earlier',
                    '{name} begins two hours earlier on the day',
                    ['{name}' => $open->kitchen->people[$cook]->name],
                    'sleep',
                    $document->withShiftBegunSooner($cook, 2),
                    adds: true,
                ),
            );
            $add(
                new Scenario(
                    'day-before',
                    '{name} cooks four hours in the afternoon before',
                    ['{name}' => $open->kitchen->people[$cook]->name],
                    'an afternoon',
                    $document->withShift($cook, -1, '14:00', '18:00'),
                    adds: true,
                ),
            );
        }
        foreach (MakeOrBuy::all($open->feast, $open->kitchen, $plan->quantities, $this->larder) as $slug => $base) {
            $bought = $document;
            $for = [];
            foreach ($open->feast->dishes as $i => $dish) {
                if (isset($dish->recipe->bases[$slug]) && !$dish->recipe->buys($slug)) {
                    $bought = $bought->withDish($i, ['bought' => [...$dish->recipe->way->choices->bought, $slug]]);
                    $for[] = $dish->recipe->name;
                }
            }
            if (null !== $base->bought && [] !== $for) {
                $loses = null === $base->buyCost ? 'read its label' : 'about {cost} {money}; read its label';
                $add(
                    new Scenario(
                        'buy-'.$slug,
                        '{base} bought for {dishes}',
                        ['{base}' => $base->base->name, '{dishes}' => implode(', ', $for)],
                        $loses,
                        $bought,
                        null,
                        ['{cost}' => round($base->buyCost ?? 0.0, 1), '{money}' => $open->kitchen->storeroom->currency],
                    ),
                );
            }
        }
        foreach ([...$this->leftOut($open, $document), ...$this->otherSchools($open, $document)] as $scenario) {
            $add($scenario);
        }
        foreach ($open->feast->dishes as $i => $dish) {
            if (
                \count($open->feast->dishes) > 1
                && [] === array_filter($open->feast->boxes, static fn ($b): bool => isset($b->holds[$dish->id]))
            ) {
                $add(
                    new Scenario(
                        'less-'.$dish->id,
                        'Without {dish}',
                        ['{dish}' => $dish->recipe->name],
                        'a sweet less',
                        $document->withoutRow('dishes', $i),
                    ),
                );
            }
        }

        return $scenarios;
    }

    /**
     * The vessels that most of the plan goes through, and those of what finds no room.
     *
     * @return array<string, string> dish by vessel
     */
    private function busyVessels(Plan $plan): array
    {
        $uses = $of = [];
        foreach ($plan->quantities->dishes as $planned) {
            foreach ($planned->batchPlan->pots as $choice) {
                foreach ($choice->run->isHeated() ? $choice->vessels : [] as $vessel) {
                    $uses[$vessel->id] =
                        ($uses[$vessel->id] ?? 0) +
                        $planned->batchPlan->batches *
                            (isset($plan->timings[$planned->dish->id]) && 0 === $plan->timings[$planned->dish->id]->lateMinutes
                                ? 1
                                : 3);
                    $of[$vessel->id] = $planned->dish->id;
                }
            }
        }
        arsort($uses);

        return array_intersect_key($of, \array_slice($uses, 0, self::MOST_VESSELS, true));
    }

    /**
     * The day begun later than planned, while it has not begun.
     *
     * @return iterable<Scenario>
     */
    private function later(OpenFeast $open, Plan $plan, FeastDocument $document): iterable
    {
        if (!$plan->isOnTime() || [] === $plan->steps || null !== $this->day->notBefore($open)) {
            return;
        }
        $zone = $open->feast->timeZone;
        $begins = PlanComparison::dayBegins($open->feast, $plan);
        foreach (self::LATER as $minutes) {
            $from = (new \DateTimeImmutable('@'.(self::ROUNDED * intdiv($begins + 60 * $minutes, self::ROUNDED))))->setTimezone($zone);
            if ($from < $open->feast->firstMoment()->at) {
                yield new Scenario(
                    'later-'.$minutes,
                    'Nobody there before {time}',
                    ['{time}' => $from->format('H:i')],
                    '',
                    $document->withNobodyBefore($from->format('H:i')),
                    weighs: true,
                );
            }
        }
    }

    /**
     * Each sweet ready a while sooner, where it keeps so long.
     *
     * @return iterable<Scenario>
     */
    private function sooner(OpenFeast $open, FeastDocument $document): iterable
    {
        foreach ($open->feast->dishes as $i => $dish) {
            $minutes = $dish->readyEarlier + self::SOONER;
            if ($minutes <= $dish->recipe->keepMinutes) {
                yield new Scenario(
                    'sooner-'.$dish->id,
                    '{dish} ready {minutes} min before its moment',
                    ['{dish}' => $dish->recipe->name, '{minutes}' => $minutes],
                    'it waits longer',
                    $document->withDish($i, ['readyEarlier' => $minutes]),
                );
            }
        }
    }

    /**
     * Each step left out that may be.
     *
     * @return iterable<Scenario>
     */
    private function leftOut(OpenFeast $open, FeastDocument $document): iterable
    {
        foreach ($open->feast->dishes as $i => $dish) {
            foreach (array_intersect_key($dish->recipe->way->optional, $dish->recipe->steps) as $id => $step) {
                yield new Scenario(
                    'leave-out-'.$dish->id.'-'.$id,
                    '{dish} without: {step}',
                    ['{dish}' => $dish->recipe->name, '{step}' => $step['title']],
                    '' === $step['loses'] ? 'the sweet goes without it' : $step['loses'],
                    $document->withDish($i, ['leftOut' => [...$dish->recipe->way->choices->leftOut, $id]]),
                );
            }
        }
    }

    /**
     * Each sweet the way another school makes it, where that changes when and by whom.
     *
     * @return iterable<Scenario>
     */
    private function otherSchools(OpenFeast $open, FeastDocument $document): iterable
    {
        foreach ($open->feast->dishes as $i => $dish) {
            $choices = $dish->recipe->way->choices;
            foreach ($dish->recipe->way->schools as $school) {
                foreach ($school->options as $option) {
                    $holds = $dish->recipe->way->options[$school->id] ?? null;
                    if (null === $holds || $option->id === $holds) {
                        continue;
                    }
                    $chosen = [...$choices->schools, $school->id => $option->id];
                    $revision = $document->rows('dishes')[$i]['revision'] ?? null;
                    try {
                        $recipe = $this->recipes->find(
                            $dish->recipe->slug,
                            \is_int($revision) ? $revision : null,
                            $choices->withSchools($chosen),
                        );
                    } catch (FaultyDocument) {
                        continue;
                    }
                    if (null !== $recipe && !$recipe->isWorkedLike($dish->recipe)) {
                        yield new Scenario(
                            'school-'.$dish->id.'-'.$school->id.'-'.$option->id,
                            '{dish}: {option}',
                            ['{dish}' => $dish->recipe->name, '{option}' => $option->name],
                            $option->loses,
                            $document->withDish($i, ['schools' => $chosen]),
                            why: $option->why,
                        );
                    }
                }
            }
        }
    }
}
