<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * Re-checks a solution against its problem, minute by minute and rule by rule. Written from the format's text, it shares
 * no code with the solver, so that neither can hide the other's mistakes.
 */
final class Audit
{
    /** @return list<string> every rule that is broken, in words; empty for a sound schedule */
    public function faults(Problem $problem, Solution $solution): array
    {
        if (SolutionStatus::Feasible !== $solution->status) {
            return [];
        }
        $faults = [];
        foreach ($problem->activities as $id => $activity) {
            $placement = $solution->activities[$id] ?? null;
            if (null === $placement) {
                $faults[] = \sprintf('%s is not placed', $id);
                continue;
            }
            array_push($faults, ...$this->activityFaults($problem, $solution, $activity, $placement));
        }
        if ([] !== $faults) {
            return $faults;
        }
        foreach ($problem->holds as $hold) {
            foreach ($hold->needs as $k => $need) {
                array_push(
                    $faults,
                    ...$this->choiceFaults(
                        $problem,
                        $solution,
                        'hold '.$hold->id,
                        NeedReference::ofHold($hold->id, $k),
                        $need,
                        $solution->holds[$hold->id][$k] ?? [],
                    ),
                );
            }
        }
        foreach ($problem->links as $i => $link) {
            $from = $solution->activities[$link->from];
            $to = $solution->activities[$link->to];
            $gap = ($link->type->toEnd() ? $to->end : $to->start) - ($link->type->fromEnd() ? $from->end : $from->start);
            if ($gap < $link->min || (null !== $link->max && $gap > $link->max)) {
                $faults[] = \sprintf(
                    'link %d %s→%s has gap %d, not in [%d, %s]',
                    $i,
                    $link->from,
                    $link->to,
                    $gap,
                    $link->min,
                    $link->max ?? '∞',
                );
            }
        }
        foreach ($problem->resources as $resource) {
            array_push($faults, ...$this->resourceFaults($problem, $solution, $resource));
        }
        $objective = $this->objective($problem, $solution);
        if ($objective !== $solution->objective) {
            $faults[] = \sprintf('the objective is %d, not %s', $objective, $solution->objective ?? 'null');
        }
        if (null !== $solution->bound && $solution->bound > $objective) {
            $faults[] = \sprintf('the bound %d is above the objective %d', $solution->bound, $objective);
        }

        return $faults;
    }

    /** @return list<string> */
    private function activityFaults(Problem $problem, Solution $solution, Activity $activity, Placement $placement): array
    {
        $faults = [];
        $lengths = [];
        foreach ($activity->needs as $k => $need) {
            $uses = $placement->uses[$k] ?? [];
            array_push(
                $faults,
                ...$this->choiceFaults($problem, $solution, $activity->id, NeedReference::ofActivity($activity->id, $k), $need, $uses),
            );
            if ([] !== $need->durations) {
                foreach ($uses as $resource) {
                    $lengths[] = $need->durations[$resource] ?? $activity->duration->likely;
                }
            }
        }
        $length = [] === $lengths ? $activity->duration->likely : max($lengths);
        if ($placement->end - $placement->start !== $length) {
            $faults[] = \sprintf('%s lasts %d, not %d', $activity->id, $placement->end - $placement->start, $length);
        }
        if ($placement->start < max($problem->horizonStart, $activity->earliestStart)) {
            $faults[] = \sprintf(
                '%s starts at %d, before %d',
                $activity->id,
                $placement->start,
                max($problem->horizonStart, $activity->earliestStart),
            );
        }
        if ($placement->end > min($problem->horizonEnd, $activity->latestEnd)) {
            $faults[] = \sprintf(
                '%s ends at %d, after %d',
                $activity->id,
                $placement->end,
                min($problem->horizonEnd, $activity->latestEnd),
            );
        }

        return $faults;
    }

    /**
     * @param list<string> $uses
     *
     * @return list<string>
     */
    private function choiceFaults(Problem $problem, Solution $solution, string $owner, NeedReference $place, Need $need, array $uses): array
    {
        [, $root] = $problem->root($place);
        $faults = [];
        if (\count($uses) !== $root->count || \count(array_unique($uses)) !== $root->count) {
            $faults[] = \sprintf('%s uses %d resources where %d different ones are wanted', $owner, \count($uses), $root->count);
        }
        if ([] !== array_diff($uses, $root->from)) {
            $faults[] = \sprintf('%s uses %s, which is not on offer', $owner, implode(', ', array_diff($uses, $root->from)));
        }
        if (null !== $need->sameAs) {
            $same = $need->sameAs->ofHold
                ? $solution->holds[$need->sameAs->id][$need->sameAs->need] ?? []
                : ($solution->activities[$need->sameAs->id] ?? null)->uses[$need->sameAs->need] ?? [];
            if ([] !== array_diff($uses, $same) || [] !== array_diff($same, $uses)) {
                $faults[] = \sprintf('%s uses %s, not the same as %s', $owner, implode(', ', $uses), $need->sameAs->id);
            }
        }

        return $faults;
    }

    /** @return list<string> */
    private function resourceFaults(Problem $problem, Solution $solution, Resource $resource): array
    {
        /** @var list<array{string, int, int, int, list<string>}> $acts id, start, end, units, holds it belongs to */
        $acts = [];
        /** @var array<string, array{int, int, int}> $holds id → start, end, units */
        $holds = [];
        foreach ($problem->holds as $hold) {
            $units = 0;
            foreach ($hold->needs as $k => $need) {
                $units += \in_array($resource->id, $solution->holds[$hold->id][$k] ?? [], true) ? $need->units : 0;
            }
            if ($units > 0) {
                $starts = array_map(static fn (string $a): int => $solution->activities[$a]->start, $hold->activities);
                $ends = array_map(static fn (string $a): int => $solution->activities[$a]->end, $hold->activities);
                $holds[$hold->id] = [min($starts), max($ends), $units];
            }
        }
        foreach ($problem->activities as $id => $activity) {
            $placement = $solution->activities[$id];
            $units = 0;
            foreach ($activity->needs as $k => $need) {
                $units += \in_array($resource->id, $placement->uses[$k] ?? [], true) ? $need->units : 0;
            }
            if ($units > 0 && $placement->end > $placement->start) {
                $memberOf = array_values(
                    array_filter(array_keys($holds), static fn (string $h): bool => \in_array($id, $problem->holds[$h]->activities, true)),
                );
                $acts[] = [$id, $placement->start, $placement->end, $units, $memberOf];
            }
        }
        $faults = [];
        $users = array_map(static fn (array $a): array => [$a[0], $a[1], $a[2], $a[4]], $acts);
        foreach ($holds as $id => [$start, $end]) {
            if ($end > $start) {
                $users[] = [$id, $start, $end, [$id]];
            }
        }
        foreach ($users as [$id, $start, $end]) {
            $inside = false;
            foreach ($resource->calendar as [$from, $to]) {
                $inside = $inside || ($start >= $from && $end <= $to);
            }
            if (!$inside) {
                $faults[] = \sprintf('%s is used by %s in [%d, %d), when it is not available', $resource->id, $id, $start, $end);
            }
        }
        if ($resource->turnover > 0) {
            foreach ($users as $i => $a) {
                foreach ($users as $j => $b) {
                    if (
                        $i < $j
                        && [] === array_intersect($a[3], $b[3])
                        && $a[1] < $b[2] + $resource->turnover
                        && $b[1] < $a[2] + $resource->turnover
                    ) {
                        $faults[] = \sprintf('%s needs %d between %s and %s', $resource->id, $resource->turnover, $a[0], $b[0]);
                    }
                }
            }
        }
        $minutes = array_unique(array_merge(array_column($acts, 1), array_column($holds, 0)));
        foreach ($minutes as $minute) {
            $used = 0;
            $inHold = [];
            foreach ($acts as [, $start, $end, $units, $memberOf]) {
                if ($start <= $minute && $minute < $end) {
                    if ([] === $memberOf) {
                        $used += $units;
                    }
                    foreach ($memberOf as $hold) {
                        $inHold[$hold] = ($inHold[$hold] ?? 0) + $units;
                    }
                }
            }
            foreach ($holds as $id => [$start, $end, $units]) {
                if ($start <= $minute && $minute < $end) {
                    $used += max($units, $inHold[$id] ?? 0);
                }
            }
            if ($used > $resource->capacity) {
                $faults[] = \sprintf('%s has %d of %d in use at %d', $resource->id, $used, $resource->capacity, $minute);
            }
        }

        return $faults;
    }

    private function objective(Problem $problem, Solution $solution): int
    {
        if ([] === $solution->activities) {
            return 0;
        }
        $ends = array_map(static fn (Placement $p): int => $p->end, $solution->activities);
        if ($problem->objective->makespan) {
            return max($ends);
        }
        $cost = 0;
        foreach ($problem->activities as $id => $activity) {
            $cost += $activity->due?->cost($solution->activities[$id]->end) ?? 0;
        }
        $of = $problem->objective->spanOf ?? array_keys($problem->activities);
        if ([] !== $of && $problem->objective->span > 0) {
            $first = \PHP_INT_MAX;
            $last = \PHP_INT_MIN;
            foreach ($of as $id) {
                $first = min($first, $solution->activities[$id]->start);
                $last = max($last, $solution->activities[$id]->end);
            }
            $cost += $problem->objective->span * ($last - $first);
        }

        return $cost;
    }
}
