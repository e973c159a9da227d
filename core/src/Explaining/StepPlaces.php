<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Modelling\Obstacle;
use FeastLadle\Modelling\ResourceNames;
use FeastLadle\Modelling\Resources;
use FeastLadle\Modelling\StepActivities;
use FeastLadle\Schedule\Link;
use FeastLadle\Schedule\Placement;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\Slips;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;

/**
 * Explains the place of every step of a plan by what stands next: who takes from it, who needs its fire, pot or hands, whose
 * shift ends.
 */
final class StepPlaces
{
    private Problem $problem;

    /** @var array<string, Placement> */
    private array $placements;

    /** @var array<string, list<array{start: int, end: int, units: int, activity: string}>> by resource, by start */
    private array $users = [];

    /** @var array<string, list<Link>> */
    private array $linksFrom = [];

    /** @var array<string, string> by activity */
    private array $titles = [];

    /** @var array<string, list<array{string, int}>> holds of a vessel, with their starts */
    private array $spans = [];

    private function __construct(private readonly Plan $plan, private readonly Kitchen $kitchen)
    {
        $this->problem = $plan->problem;
        $this->placements = $plan->solution->activities;
        foreach ($plan->steps as $step) {
            $this->titles[$step->activity] = $step->step->title;
        }
        foreach ($this->problem->links as $link) {
            $this->linksFrom[$link->from][] = $link;
        }
        foreach ($this->problem->holds as $id => $hold) {
            foreach (array_merge(...$plan->solution->holds[$id] ?? [[]]) as $vessel) {
                $this->spans[$vessel][] = [$id, min(array_map(fn (string $a): int => $this->placements[$a]->start, $hold->activities))];
            }
        }
        foreach ($this->placements as $id => $placement) {
            foreach ($placement->uses as $need => $resources) {
                foreach ($resources as $resource) {
                    if ($placement->end > $placement->start) {
                        $this->users[$resource][] = [
                            'start' => $placement->start,
                            'end' => $placement->end,
                            'units' => $this->problem->activities[$id]->needs[$need]->units,
                            'activity' => $id,
                        ];
                    }
                }
            }
        }
        foreach ($this->users as &$users) {
            usort($users, static fn (array $a, array $b): int => $a['start'] <=> $b['start']);
        }
    }

    /** @return array<string, StepPlace> by activity */
    public static function of(Plan $plan, Kitchen $kitchen): array
    {
        if (SolutionStatus::Feasible !== $plan->solution->status) {
            return [];
        }
        $places = new self($plan, $kitchen);
        $slips = Slips::of($plan->problem, $plan->solution, $plan->margins);
        $found = [];
        foreach ($plan->steps as $step) {
            $found[$step->activity] = $places->place($step, $slips[$step->activity] ?? null);
        }

        return $found;
    }

    private function place(PlannedStep $step, ?int $slip): StepPlace
    {
        $slack = \PHP_INT_MAX;
        $reasons = [];
        $note = static function (int $room, Obstacle $reason) use (&$slack, &$reasons): void {
            if ($room < $slack) {
                $slack = $room;
                $reasons = [];
            }
            if ($room === $slack) {
                $reasons[$reason->text()] = $reason;
            }
        };
        $dish = $step->key->dish;
        $this->begun($step->activity, $note);
        $this->takers(
            $step->activity,
            static fn (int $room, string $taker, string $when) => $note(
                $room,
                new Obstacle($dish, '"{step}" takes it up at {time}', ['step' => $taker, 'time' => $when]),
            ),
        );
        foreach ($this->placements[$step->activity]->uses as $need => $resources) {
            foreach ($resources as $resource) {
                $this->next(
                    $step,
                    $resource,
                    $this->problem->activities[$step->activity]->needs[$need]->units,
                    static fn (int $room, string $user, string $when, string $name) => $note(
                        $room,
                        new Obstacle($dish, '{what} is wanted for "{step}" from {time}', [
                            'what' => $name,
                            'step' => $user,
                            'time' => $when,
                        ]),
                    ),
                );
                foreach ($this->problem->resources[$resource]->calendar as [$from, $to]) {
                    if ($from <= $step->startMinute && $step->endMinute <= $to && $to < $this->problem->horizonEnd) {
                        $note(
                            $to - $step->endMinute,
                            new Obstacle($dish, '{what} is there until {time}', [
                                'what' => $this->named($resource),
                                'time' => $this->clock($to),
                            ]),
                        );
                    }
                }
            }
        }
        $this->waits(
            $step->activity,
            static fn (int $room, string $before) => $note(
                $room,
                new Obstacle($dish, '"{step}" before it can\'t wait longer', ['step' => $before]),
            ),
        );
        $this->pots(
            $step,
            static fn (int $room, string $pot, string $when) => $note(
                $room,
                new Obstacle($dish, '{what} is wanted again from {time}', ['what' => $pot, 'time' => $when]),
            ),
        );
        $activity = $this->problem->activities[$step->activity];
        $note($activity->latestEnd - $step->endMinute, new Obstacle($dish, 'it is held at its time, or the plan ends'));
        $due = $activity->due;
        if (null !== $due && $due->at >= $step->endMinute) {
            $note($due->at - $step->endMinute, new Obstacle($dish, 'it shall be ready at {time}', ['time' => $this->clock($due->at)]));
        }

        return new StepPlace(\PHP_INT_MAX === $slack ? 0 : $slack, array_values($reasons), $slip);
    }

    /** @param \Closure(int, string, string): void $note room, step, time */
    private function takers(string $activity, \Closure $note): void
    {
        $from = $this->placements[$activity];
        foreach ($this->linksFrom[$activity] ?? [] as $link) {
            $to = $this->placements[$link->to];
            $room = ($link->type->toEnd() ? $to->end : $to->start) - ($link->type->fromEnd() ? $from->end : $from->start) - $link->min;
            $step = $this->titles[$link->to] ?? null;
            if (null !== $step) {
                $note(max(0, $room), $step, $this->clock($to->start));
            }
        }
    }

    /** @param \Closure(int, Obstacle): void $note */
    private function begun(string $activity, \Closure $note): void
    {
        $start = $this->plan->solution->activities[$activity]->start;
        foreach (
            isset($this->plan->problem->activities[StepActivities::begun($activity)])
                ? $this->plan->problem->resources[Resources::SOMEBODY]->calendar ?? []
                : [] as [$from, $to]
        ) {
            if ($from <= $start && $start < $to) {
                $note(
                    $to - 1 - $start,
                    new Obstacle('', 'somebody begins it, and nobody is there after {time}', ['time' => $this->clock($to)]),
                );
            }
        }
    }

    /** @param \Closure(int, string): void $note room, the step that would wait too long for this one */
    private function waits(string $activity, \Closure $note): void
    {
        $to = $this->placements[$activity];
        foreach ($this->problem->links as $link) {
            if ($link->to !== $activity || null === $link->max || !isset($this->titles[$link->from])) {
                continue;
            }
            $from = $this->placements[$link->from];
            $gap = ($link->type->toEnd() ? $to->end : $to->start) - ($link->type->fromEnd() ? $from->end : $from->start);
            $note(max(0, $link->max - $gap), $this->titles[$link->from]);
        }
    }

    /**
     * Pots that stay taken longer when this step moves: its own, and those it empties.
     *
     * @param \Closure(int, string, string): void $note room, pot, time
     */
    private function pots(PlannedStep $step, \Closure $note): void
    {
        $moved = [$step->activity => $step->endMinute];
        foreach ($this->linksFrom[$step->activity] ?? [] as $link) {
            // A marker moves with its step.
            if (0 === $link->min && 0 === $link->max && !isset($this->titles[$link->to])) {
                $moved[$link->to] = $this->placements[$link->to]->end;
            }
        }
        foreach ($this->problem->holds as $id => $hold) {
            $ends = array_intersect_key($moved, array_flip($hold->activities));
            if ([] === $ends) {
                continue;
            }
            foreach (array_merge(...$this->plan->solution->holds[$id] ?? [[]]) as $vessel) {
                foreach ($this->spans[$vessel] as [$other, $start]) {
                    if ($other !== $id && $start >= max($ends)) {
                        $note(
                            max(0, $start - $this->problem->resources[$vessel]->turnover - max($ends)),
                            $this->named($vessel),
                            $this->clock($start),
                        );
                    }
                }
            }
        }
    }

    /** @param \Closure(int, string, string, string): void $note room, next step, time, what */
    private function next(PlannedStep $step, string $resource, int $units, \Closure $note): void
    {
        $capacity = $this->problem->resources[$resource]->capacity;
        $turnover = $this->problem->resources[$resource]->turnover;
        foreach ($this->users[$resource] ?? [] as $user) {
            if ($user['activity'] === $step->activity || $user['start'] < $step->endMinute) {
                continue;
            }
            // What runs beside it then counts too: a hand may have room for both.
            $beside = 0;
            foreach ($this->users[$resource] as $other) {
                $beside +=
                    $other['activity'] !== $step->activity && $other['start'] <= $user['start'] && $user['start'] < $other['end']
                        ? $other['units']
                        : 0;
            }
            $title = $this->titles[$user['activity']] ?? null;
            if ($beside + $units > $capacity && null !== $title) {
                $note(
                    max(0, $user['start'] - $turnover - $step->endMinute),
                    $title,
                    $this->clock($user['start']),
                    $this->named($resource),
                );

                return;
            }
        }
    }

    private function named(string $resource): string
    {
        return ResourceNames::of($this->kitchen, $resource);
    }

    private function clock(int $minute): string
    {
        return $this->plan->origin->modify('+'.$minute.' minutes')->format('H:i');
    }
}
