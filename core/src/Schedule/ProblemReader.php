<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

use FeastLadle\Document\Faults;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Document\JsonText;
use FeastLadle\Document\Node;

/** Reads a schedule problem, reporting every fault with its JSON pointer. */
final class ProblemReader
{
    public const MOST_BYTES = 20_000_000;
    public const MOST_ACTIVITIES = 5000;
    public const MOST_RESOURCES = 1000;
    private const FAR = 100_000_000;

    /** @throws FaultyDocument */
    public function read(string $json): Problem
    {
        $faults = new Faults();
        $root = JsonText::decode($json, 'schedule problem', $faults, self::MOST_BYTES);
        $root->onlyKeys(['format', 'version', 'horizon', 'unitSeconds', 'resources', 'activities', 'links', 'holds', 'objective']);
        $root->isOf(Problem::FORMAT, Problem::VERSION);
        [$start, $end] = $this->horizon($root->at('horizon'));
        $unit = $root->at('unitSeconds')->int(1, 86400, 60);

        $resources = [];
        foreach ($root->at('resources')->items(self::MOST_RESOURCES) as $node) {
            $resource = $this->resource($node, $start, $end);
            $this->refuseTwice($node, $resource->id, isset($resources[$resource->id]));
            $resources[$resource->id] = $resource;
        }
        $activities = [];
        $nodes = $root->at('activities')->items(self::MOST_ACTIVITIES);
        foreach ($nodes as $node) {
            $activity = $this->activity($node, $start, $end, $resources);
            $this->refuseTwice($node, $activity->id, isset($activities[$activity->id]));
            $activities[$activity->id] = $activity;
        }
        $holds = [];
        foreach ($root->at('holds')->items(self::MOST_ACTIVITIES) as $node) {
            $hold = $this->hold($node, $activities, $resources);
            $this->refuseTwice($node, $hold->id, isset($holds[$hold->id]));
            $holds[$hold->id] = $hold;
        }
        $links = [];
        foreach ($root->at('links')->items(4 * self::MOST_ACTIVITIES) as $node) {
            $links[] = $this->link($node, $activities);
        }
        $objective = $this->objective($root->at('objective'), $activities);
        $this->checkReferences($root, $activities, $holds);
        $faults->throwIfAny('schedule problem');
        $circle = MinCycle::find($activities, $links);
        $inFile = $circle;
        sort($inFile);
        foreach ($inFile as $index) {
            $root
                ->at('links')
                ->at($index)
                ->fault('These shortest gaps go round in a circle: {circle}. Each would have to come after itself.', [
                    'circle' => implode(' → ', array_map(static fn (int $l): string => $links[$l]->from, [...$circle, $circle[0]])),
                ]);
        }
        $faults->throwIfAny('schedule problem');

        return new Problem($start, $end, $unit, $resources, $activities, $links, $holds, $objective);
    }

    /** @return array{int, int} */
    private function horizon(Node $node): array
    {
        $items = $node->items(2, 2);
        $start = isset($items[0]) ? $items[0]->int(-self::FAR, self::FAR) : 0;
        $end = isset($items[1]) ? $items[1]->int(-self::FAR, self::FAR) : $start;
        if ($end < $start) {
            $node->fault('The horizon ends at {end}, before it starts at {start}.', ['end' => $end, 'start' => $start]);
        }

        return [$start, max($start, $end)];
    }

    private function refuseTwice(Node $node, string $id, bool $known): void
    {
        if ($known) {
            $node->at('id')->fault('The id "{id}" is used twice.', ['id' => $id]);
        }
    }

    private function resource(Node $node, int $start, int $end): Resource
    {
        $node->object(['id', 'capacity', 'turnover', 'calendar']);
        $capacity = $node->at('capacity')->int(1, 1_000_000, 1);
        $turnover = $node->at('turnover')->int(0, self::FAR, 0);
        if ($turnover > 0 && $capacity > 1) {
            $node->at('turnover')->fault('Turnover is only for a capacity of 1, not {capacity}.', ['capacity' => $capacity]);
        }
        $calendar = [];
        if ($node->has('calendar')) {
            foreach ($node->at('calendar')->items(2000) as $interval) {
                $pair = $interval->items(2, 2);
                if (2 === \count($pair)) {
                    $from = $pair[0]->int(-self::FAR, self::FAR);
                    $to = $pair[1]->int(-self::FAR, self::FAR);
                    if ($to < $from) {
                        $interval->fault('This interval ends at {end}, before it starts at {start}.', ['end' => $to, 'start' => $from]);
                    }
                    $calendar[] = [max($start, $from), min($end, $to)];
                }
            }
            $calendar = array_values(array_filter($calendar, static fn (array $i): bool => $i[1] > $i[0]));
            sort($calendar);
            foreach ($calendar as $i => $interval) {
                if ($i > 0 && $interval[0] < $calendar[$i - 1][1]) {
                    $node->at('calendar')->fault('Two intervals overlap at {minute}.', ['minute' => $interval[0]]);
                    break;
                }
            }
        } else {
            $calendar = [[$start, $end]];
        }

        return new Resource($node->at('id')->string(), $capacity, $turnover, $calendar);
    }

    /** @param array<string, Resource> $resources */
    private function activity(Node $node, int $start, int $end, array $resources): Activity
    {
        $node->object(['id', 'duration', 'needs', 'earliestStart', 'latestEnd', 'due']);
        $due = null;
        if ($node->has('due')) {
            $place = $node->at('due');
            $place->object(['at', 'early', 'late']);
            $due = new Due(
                $place->at('at')->int(-self::FAR, self::FAR),
                $place->at('early')->int(0, 1_000_000, 0),
                $place->at('late')->int(0, 1_000_000, 1),
            );
        }

        return new Activity(
            $node->at('id')->string(),
            $this->duration($node->at('duration')),
            array_map(fn (Node $n): Need => $this->need($n, $resources, true), $node->at('needs')->items(20)),
            max($start, $node->at('earliestStart')->int(-self::FAR, self::FAR, $start)),
            min($end, $node->at('latestEnd')->int(-self::FAR, self::FAR, $end)),
            $due,
        );
    }

    private function duration(Node $node): DurationRange
    {
        if (!$node->exists() || $node->isNumber()) {
            return DurationRange::exactly($node->int(0, self::FAR));
        }
        $node->object(['min', 'likely', 'max']);
        $range = new DurationRange(
            $node->at('min')->int(0, self::FAR),
            $node->at('likely')->int(0, self::FAR),
            $node->at('max')->int(0, self::FAR),
        );
        if ($range->min > $range->likely || $range->likely > $range->max) {
            $node->fault('The three durations must rise: min, likely, max.');
        }

        return $range;
    }

    /** @param array<string, Resource> $resources */
    private function need(Node $node, array $resources, bool $timed): Need
    {
        $node->object($timed ? ['from', 'count', 'units', 'duration', 'sameAs'] : ['from', 'count', 'units', 'sameAs']);
        $units = $node->at('units')->int(1, 1_000_000, 1);
        $durations = [];
        foreach ($node->at('duration')->fields(self::MOST_RESOURCES) as $id => $place) {
            if (!isset($resources[$id])) {
                $place->fault('There is no resource "{id}".', ['id' => $id]);
            }
            $durations[$id] = $place->int(0, self::FAR);
        }
        if ($node->has('sameAs')) {
            foreach (['from', 'count'] as $key) {
                if ($node->has($key)) {
                    $node->at($key)->fault('A need with "sameAs" takes its resources from there.');
                }
            }
            $place = $node->at('sameAs');
            $place->object(['activity', 'hold', 'need']);
            if ($place->has('activity') === $place->has('hold')) {
                $place->fault('Name either an activity or a hold.');
            }
            $index = $place->at('need')->int(0, 1000);
            $reference = $place->has('hold')
                ? NeedReference::ofHold($place->at('hold')->string(), $index)
                : NeedReference::ofActivity($place->at('activity')->string(''), $index);

            return new Need([], 1, $units, $durations, $reference);
        }
        $from = [];
        foreach ($node->at('from')->items(self::MOST_RESOURCES, 1) as $place) {
            $id = $place->string();
            if (!isset($resources[$id])) {
                $place->fault('There is no resource "{id}".', ['id' => $id]);
            }
            if (\in_array($id, $from, true)) {
                $place->fault('The resource "{id}" stands here twice.', ['id' => $id]);
            }
            $from[] = $id;
        }

        return new Need($from, $node->at('count')->int(1, 1000, 1), $units, $durations);
    }

    /**
     * @param array<string, Activity> $activities
     * @param array<string, Resource> $resources
     */
    private function hold(Node $node, array $activities, array $resources): Hold
    {
        $node->object(['id', 'activities', 'needs']);
        $members = [];
        foreach ($node->at('activities')->items(self::MOST_ACTIVITIES, 1) as $place) {
            $members[] = $this->activityId($place, $activities);
        }

        return new Hold(
            $node->at('id')->string(),
            [] === $members ? [''] : array_values(array_unique($members)),
            array_map(fn (Node $n): Need => $this->need($n, $resources, false), $node->at('needs')->items(20)),
        );
    }

    /** @param array<string, Activity> $activities */
    private function activityId(Node $place, array $activities): string
    {
        $id = $place->string();
        if ('' !== $id && !isset($activities[$id])) {
            $place->fault('There is no activity "{id}".', ['id' => $id]);
        }

        return $id;
    }

    /** @param array<string, Activity> $activities */
    private function link(Node $node, array $activities): Link
    {
        $node->object(['from', 'to', 'min', 'max', 'type']);
        $min = $node->at('min')->int(-self::FAR, self::FAR, 0);
        $max = $node->has('max') ? $node->at('max')->int(-self::FAR, self::FAR) : null;
        if (null !== $max && $max < $min) {
            $node->at('max')->fault('The longest gap, {max}, is below the shortest, {min}.', ['max' => $max, 'min' => $min]);
        }

        return new Link(
            $this->activityId($node->at('from'), $activities),
            $this->activityId($node->at('to'), $activities),
            $min,
            $max,
            $node->at('type')->enum(LinkType::class, LinkType::EndToStart),
        );
    }

    /** @param array<string, Activity> $activities */
    private function objective(Node $node, array $activities): Objective
    {
        if (!$node->exists()) {
            return Objective::justInTime();
        }
        $node->object(['kind', 'span', 'spanOf']);
        $kind = $node->at('kind')->string('just-in-time');
        if (!\in_array($kind, ['just-in-time', 'makespan'], true)) {
            $node->at('kind')->fault('Here must stand one of {known}.', ['known' => 'just-in-time, makespan']);
        }
        $spanOf = null;
        if ($node->has('spanOf')) {
            $spanOf = array_map(
                fn (Node $n): string => $this->activityId($n, $activities),
                $node->at('spanOf')->items(self::MOST_ACTIVITIES),
            );
        }

        return 'makespan' === $kind ? Objective::makespan() : Objective::justInTime($node->at('span')->int(0, 1_000_000, 0), $spanOf);
    }

    /**
     * @param array<string, Activity> $activities
     * @param array<string, Hold>     $holds
     */
    private function checkReferences(Node $root, array $activities, array $holds): void
    {
        foreach ([['activities', $activities], ['holds', $holds]] as [$list, $owners]) {
            $i = 0;
            foreach ($owners as $owner) {
                foreach ($owner->needs as $k => $need) {
                    $this->checkReference($root->at($list)->at($i)->at('needs')->at($k)->at('sameAs'), $need, $activities, $holds);
                }
                ++$i;
            }
        }
    }

    /**
     * @param array<string, Activity> $activities
     * @param array<string, Hold>     $holds
     */
    private function checkReference(Node $place, Need $need, array $activities, array $holds): void
    {
        $seen = [];
        while (null !== $need->sameAs) {
            $reference = $need->sameAs;
            $owner = $reference->ofHold ? $holds[$reference->id] ?? null : $activities[$reference->id] ?? null;
            if (null === $owner) {
                $place->fault('There is no {kind} "{id}".', ['kind' => $reference->ofHold ? 'hold' : 'activity', 'id' => $reference->id]);

                return;
            }
            if (!isset($owner->needs[$reference->need])) {
                $place->fault('"{id}" has no need number {need}.', ['id' => $reference->id, 'need' => $reference->need]);

                return;
            }
            $key = ($reference->ofHold ? 'h' : 'a').$reference->id.'#'.$reference->need;
            if (isset($seen[$key])) {
                $place->fault('These needs point at each other in a circle.');

                return;
            }
            $seen[$key] = true;
            $need = $owner->needs[$reference->need];
        }
    }
}
