<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * What is left of a problem at a given minute: what is done stays as it was done, what runs keeps what it has taken and goes
 * on to its likely end, and all else starts now or later. Where what happened has broken a rule already, that rule is let go
 * and named.
 */
final readonly class Replan
{
    /**
     * @param Problem      $problem what is left to plan; activities that are done stand in it fixed and take nothing
     * @param list<string> $letGo   rules that what happened has broken, in words
     * @param Solution     $near    the former plan in terms of what is left
     */
    private function __construct(
        public Problem $problem,
        public array $letGo,
        public Solution $near,
        private Solution $before,
        private Progress $progress,
    ) {
    }

    public static function of(Problem $problem, Solution $before, Progress $progress): self
    {
        $now = $progress->now;
        $begun = $progress->done + $progress->running;
        $settled = self::settled($problem, $before, $begun);
        $activities = [];
        $near = [];
        $letGo = [];
        $busy = [];
        $taken = [];
        $horizonEnd = max($problem->horizonEnd, $now);
        foreach ($problem->activities as $id => $activity) {
            $planned = $before->activities[$id];
            if (isset($progress->done[$id])) {
                [$start, $end] = $progress->done[$id];
                $activities[$id] = new Activity($id, DurationRange::exactly($end - $start), [], $start, $end, $activity->due);
                $near[$id] = new Placement($start, $end, []);
            } elseif (isset($progress->running[$id])) {
                $left = max(
                    $activity->duration->likely > 0 ? 1 : 0,
                    $progress->left[$id] ?? $progress->running[$id] + $planned->end - $planned->start - $now,
                );
                $horizonEnd = max($horizonEnd, $now + $left);
                $needs = [];
                $uses = [];
                foreach ($activity->needs as $k => $need) {
                    $over = array_filter(
                        $planned->uses[$k],
                        static fn (string $r): bool => ($taken[$r] ?? 0) + $need->units > $problem->resources[$r]->capacity,
                    );
                    if ([] !== $over) {
                        // Two are at it at once, whatever the plan thought of that.
                        $letGo[] = \sprintf('%s runs on %s, which is taken', $id, implode(', ', $over));
                        continue;
                    }
                    $needs[] = new Need($planned->uses[$k], \count($planned->uses[$k]), $need->units);
                    $uses[] = $planned->uses[$k];
                    foreach ($planned->uses[$k] as $resource) {
                        $busy[$resource][] = [$now, $now + $left];
                        $taken[$resource] = ($taken[$resource] ?? 0) + $need->units;
                    }
                }
                $activities[$id] = new Activity($id, DurationRange::exactly($left), $needs, $now, $now + $left, $activity->due);
                $near[$id] = new Placement($now, $now + $left, $uses);
            } else {
                $needs = [];
                foreach ($activity->needs as $k => $need) {
                    $needs[] = self::need($problem, NeedReference::ofActivity($id, $k), $need, $settled);
                }
                $latest = $activity->latestEnd;
                if ($latest < $now + $activity->duration->likely) {
                    $latest = $problem->horizonEnd;
                    $letGo[] = \sprintf('%s was to end by %d', $id, $activity->latestEnd);
                }
                $activities[$id] = new Activity(
                    $id,
                    $activity->duration,
                    $needs,
                    max($activity->earliestStart, $now),
                    $latest,
                    $activity->due,
                );
                $near[$id] = isset($progress->lasts[$id])
                    ? new Placement($planned->start, $planned->start + $progress->lasts[$id], $planned->uses)
                    : $planned;
            }
        }
        $holds = [];
        foreach ($problem->holds as $id => $hold) {
            $left = array_values(array_filter($hold->activities, static fn (string $a): bool => !isset($progress->done[$a])));
            if (\count($left) < \count($hold->activities) && [] !== $left) {
                // Full since something that is done: it stays taken from now on.
                $marker = 'now>'.$id;
                $activities[$marker] = new Activity($marker, DurationRange::exactly(0), [], $now, $now, null);
                $near[$marker] = new Placement($now, $now, []);
                $left[] = $marker;
            }
            if ([] !== $left) {
                $needs = [];
                foreach ($hold->needs as $k => $need) {
                    $needs[] = self::need($problem, NeedReference::ofHold($id, $k), $need, $settled);
                }
                $holds[$id] = new Hold($id, $left, $needs);
            }
        }
        self::washing($problem, $before, $progress, $activities, $near);
        [$links, $broken] = self::links($problem, $progress, $activities);
        $resources = array_map(
            static fn (Resource $r): Resource => isset($busy[$r->id])
                ? new Resource($r->id, $r->capacity, $r->turnover, self::widened($r->calendar, $busy[$r->id]))
                : $r,
            $problem->resources,
        );

        return new self(
            new Problem(
                $problem->horizonStart,
                $horizonEnd,
                $problem->unitSeconds,
                $resources,
                $activities,
                $links,
                $holds,
                $problem->objective,
            ),
            [...$letGo, ...$broken],
            new Solution(SolutionStatus::Feasible, null, null, $near, $before->holds, $before->seed, [], 0),
            $before,
            $progress,
        );
    }

    /** The former plan as it was told, by the minutes that then were likely: who has what before whom. */
    public function asTold(): Solution
    {
        $told = $this->near->activities;
        foreach ($told as $id => $near) {
            if (isset($this->before->activities[$id]) && !isset($this->progress->done[$id])) {
                $told[$id] = new Placement($this->before->activities[$id]->start, $this->before->activities[$id]->end, $near->uses);
            }
        }

        return $this->near->placing($told);
    }

    /** A solution of what is left, told in terms of the whole. */
    public function whole(Solution $solution): Solution
    {
        if (SolutionStatus::Feasible !== $solution->status) {
            return $solution;
        }
        $activities = [];
        foreach ($this->before->activities as $id => $planned) {
            $placement = $solution->activities[$id];
            $activities[$id] = match (true) {
                isset($this->progress->done[$id]) => new Placement(...[...$this->progress->done[$id], $planned->uses]),
                isset($this->progress->running[$id]) => new Placement($this->progress->running[$id], $placement->end, $planned->uses),
                default => $placement,
            };
        }

        return new Solution(
            $solution->status,
            $solution->objective,
            $solution->bound,
            $activities,
            $solution->holds + $this->before->holds,
            $solution->seed,
            [],
            $solution->iterations,
        );
    }

    /**
     * @param array<string, mixed> $begun
     *
     * @return array<string, list<string>> resources by the place of the choosing need, where the choice was made for good
     */
    private static function settled(Problem $problem, Solution $before, array $begun): array
    {
        $settled = [];
        foreach ($problem->activities as $id => $activity) {
            foreach (isset($begun[$id]) ? array_keys($activity->needs) : [] as $k) {
                $settled[$problem->root(NeedReference::ofActivity($id, $k))[0]] = $before->activities[$id]->uses[$k];
            }
        }
        foreach ($problem->holds as $id => $hold) {
            foreach ([] !== array_intersect_key(array_flip($hold->activities), $begun) ? array_keys($hold->needs) : [] as $k) {
                $settled[$problem->root(NeedReference::ofHold($id, $k))[0]] = $before->holds[$id][$k];
            }
        }

        return $settled;
    }

    /** @param array<string, list<string>> $settled */
    private static function need(Problem $problem, NeedReference $place, Need $need, array $settled): Need
    {
        $taken = $settled[$problem->root($place)[0]] ?? null;

        return null === $taken
            ? $need
            : new Need($taken, \count($taken), $need->units, array_intersect_key($need->durations, array_flip($taken)));
    }

    /**
     * What was used last is washed before it is used again, though its user is done.
     *
     * @param array<string, Activity>  $activities
     * @param array<string, Placement> $near
     */
    private static function washing(Problem $problem, Solution $before, Progress $progress, array &$activities, array &$near): void
    {
        $lastUse = [];
        foreach ($progress->done as $id => [$start, $end]) {
            foreach ($end > $start ? $before->activities[$id]->uses : [] as $uses) {
                foreach ($uses as $resource) {
                    $lastUse[$resource] = max($lastUse[$resource] ?? \PHP_INT_MIN, $end);
                }
            }
        }
        foreach ($problem->holds as $id => $hold) {
            $ends = array_map(static fn (string $a): ?int => $progress->done[$a][1] ?? null, $hold->activities);
            foreach (\in_array(null, $ends, true) ? [] : $before->holds[$id] as $uses) {
                foreach ($uses as $resource) {
                    $lastUse[$resource] = max($lastUse[$resource] ?? \PHP_INT_MIN, ...array_map(intval(...), $ends));
                }
            }
        }
        foreach ($lastUse as $resource => $end) {
            if (
                $problem->resources[$resource]->turnover > 0
                && $end + $problem->resources[$resource]->turnover > $progress->now
                && $end - 1 >= $problem->horizonStart
            ) {
                $id = 'used>'.$resource;
                $activities[$id] = new Activity($id, DurationRange::exactly(1), [new Need([$resource])], $end - 1, $end, null);
                $near[$id] = new Placement($end - 1, $end, [[$resource]]);
            }
        }
    }

    /**
     * @param array<string, Activity> $activities
     *
     * @return array{list<Link>, list<string>} links that can still be kept, and those that can't, in words
     */
    private static function links(Problem $problem, Progress $progress, array $activities): array
    {
        $links = [];
        $broken = [];
        foreach ($problem->links as $link) {
            $fromDone = isset($progress->done[$link->from]);
            $toBegun = isset($progress->done[$link->to]) || isset($progress->running[$link->to]);
            if ($fromDone && isset($progress->done[$link->to])) {
                continue;
            }
            // A start that lies before now is told from now on.
            $shift = 0;
            if (isset($progress->running[$link->from]) && !$link->type->fromEnd()) {
                $shift -= $progress->now - $progress->running[$link->from];
            }
            if (isset($progress->running[$link->to]) && !$link->type->toEnd()) {
                $shift += $progress->now - $progress->running[$link->to];
            }
            $min = $link->min + $shift;
            $max = null === $link->max ? null : $link->max + $shift;
            $of = static fn (string $id, bool $end): array => [
                $activities[$id]->earliestStart + ($end ? $activities[$id]->duration->likely : 0),
                $activities[$id]->latestEnd - ($end ? 0 : $activities[$id]->duration->likely),
            ];
            [$fromFirst, $fromLast] = $of($link->from, $link->type->fromEnd());
            [$toFirst, $toLast] = $of($link->to, $link->type->toEnd());
            if ($toBegun && $toLast - $fromFirst < $min) {
                $broken[] = \sprintf('%s was to come before %s', $link->from, $link->to);
                continue;
            }
            if (null !== $max && $toFirst - $fromLast > $max) {
                $broken[] = \sprintf('%s was to follow %s within %d', $link->to, $link->from, $link->max ?? 0);
                $max = null;
            }
            $links[] = new Link($link->from, $link->to, $min, $max, $link->type);
        }

        return [$links, $broken];
    }

    /**
     * @param list<array{int, int}> $calendar
     * @param list<array{int, int}> $more
     *
     * @return list<array{int, int}>
     */
    private static function widened(array $calendar, array $more): array
    {
        foreach ($more as [$from, $to]) {
            foreach ($calendar as [$open, $close]) {
                if ($open <= $from && $to <= $close) {
                    continue 2;
                }
            }
            $touching = [[$from, $to]];
            $apart = [];
            foreach ($calendar as $interval) {
                if ($interval[0] < $to && $from < $interval[1]) {
                    $touching[] = $interval;
                } else {
                    $apart[] = $interval;
                }
            }
            $calendar = [...$apart, [min(array_column($touching, 0)), max(array_column($touching, 1))]];
            sort($calendar);
        }

        return $calendar;
    }
}
