<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * The order that a schedule fixes: what each activity waits for, by links and by turns at the resources that were chosen for
 * it (a partial order
 * schedule, after Policella and others 2007). Times may move in it, turns may not.
 */
final class PlannedOrder
{
    /** @var list<string> in an order in which nothing comes before what it waits for */
    public readonly array $order;

    /** @var array<string, list<array{string, bool, bool, int}>> by activity: what it waits for, from that one's end, to its own end, lag */
    private array $arcs = [];

    /** @var array<string, list<list<array{int, int}>>> calendars that bind an activity */
    private array $calendars = [];

    public function __construct(private readonly Problem $problem, private readonly Solution $solution)
    {
        $order = array_keys($solution->activities);
        usort(
            $order,
            static fn (string $a, string $b): int => [$solution->activities[$a]->start, $solution->activities[$a]->end, $a] <=> [
                $solution->activities[$b]->start,
                $solution->activities[$b]->end,
                $b,
            ],
        );
        $this->order = $order;
        foreach ($order as $id) {
            $this->arcs[$id] = [];
            $this->calendars[$id] = [];
        }
        $this->links();
        $this->turns();
        foreach ($this->arcs as $id => $arcs) {
            $this->arcs[$id] = self::tightest($arcs);
        }
    }

    /** @return list<array{string, bool, bool, int}> what an activity waits for, from that one's end, to its own end, lag */
    public function before(string $activity): array
    {
        return $this->arcs[$activity];
    }

    /** The first unit from one on at which all whose calendars bind an activity are there. */
    public function whenTheyAreThere(string $activity, int $start): int
    {
        $moved = true;
        for ($tries = 0; $moved && $tries < 20; ++$tries) {
            $moved = false;
            foreach ($this->calendars[$activity] as $calendar) {
                foreach ($calendar as [$from, $to]) {
                    if ($start < $to) {
                        // Work that is begun in a shift is finished, however long it takes.
                        if ($start < $from) {
                            $start = $from;
                            $moved = true;
                        }
                        break;
                    }
                }
            }
        }

        return $start;
    }

    /**
     * @param list<array{string, bool, bool, int}> $arcs
     *
     * @return list<array{string, bool, bool, int}> of arcs between the same sides only the longest
     */
    private static function tightest(array $arcs): array
    {
        $longest = [];
        foreach ($arcs as $arc) {
            $key = $arc[0].($arc[1] ? '>' : '<').($arc[2] ? '>' : '<');
            if (!isset($longest[$key]) || $longest[$key][3] < $arc[3]) {
                $longest[$key] = $arc;
            }
        }

        return array_values($longest);
    }

    private function links(): void
    {
        $place = array_flip($this->order);
        foreach ($this->problem->links as $link) {
            // What is tied to something later only holds it, and is no reason to wait.
            if ($place[$link->from] < $place[$link->to]) {
                $this->arcs[$link->to][] = [$link->from, $link->type->fromEnd(), $link->type->toEnd(), $link->min];
            }
        }
    }

    /** Users of one resource take turns as planned. */
    private function turns(): void
    {
        /** @var array<string, list<array{start: int, end: int, units: int, activities: list<string>}>> $users */
        $users = [];
        $held = [];
        foreach ($this->problem->holds as $hold) {
            $start = min(array_map(fn (string $a): int => $this->solution->activities[$a]->start, $hold->activities));
            $end = max(array_map(fn (string $a): int => $this->solution->activities[$a]->end, $hold->activities));
            foreach ($this->solution->holds[$hold->id] ?? [] as $need => $resources) {
                foreach ($resources as $resource) {
                    $users[$resource][] = [
                        'start' => $start,
                        'end' => $end,
                        'units' => $hold->needs[$need]->units,
                        'activities' => $hold->activities,
                    ];
                    foreach ($hold->activities as $activity) {
                        $held[$resource][$activity] = true;
                    }
                }
            }
        }
        foreach ($this->solution->activities as $id => $placement) {
            foreach ($placement->uses as $need => $resources) {
                foreach ($resources as $resource) {
                    if ($placement->end > $placement->start && !isset($held[$resource][$id])) {
                        $users[$resource][] = [
                            'start' => $placement->start,
                            'end' => $placement->end,
                            'units' => $this->problem->activities[$id]->needs[$need]->units,
                            'activities' => [$id],
                        ];
                    }
                    if (
                        \count($this->problem->resources[$resource]->calendar) > 1
                        || [[$this->problem->horizonStart, $this->problem->horizonEnd]] !== $this->problem->resources[$resource]->calendar
                    ) {
                        $this->calendars[$id][] = $this->problem->resources[$resource]->calendar;
                    }
                }
            }
        }
        foreach ($users as $resource => $list) {
            $this->turnsAt($this->problem->resources[$resource], $list);
        }
    }

    /** @param list<array{start: int, end: int, units: int, activities: list<string>}> $list */
    private function turnsAt(Resource $resource, array $list): void
    {
        usort($list, static fn (array $a, array $b): int => [$a['start'], $a['end']] <=> [$b['start'], $b['end']]);
        // Which user had each unit last.
        $last = array_fill(0, max(1, $resource->capacity), null);
        foreach ($list as $j => $user) {
            $free = array_keys(array_filter($last, static fn (?int $i): bool => null === $i || $list[$i]['end'] <= $user['start']));
            // Units that came free latest go on first, so that early ones stay free for others.
            usort(
                $free,
                static fn (int $a, int $b): int => (null === $last[$b] ? \PHP_INT_MIN : $list[$last[$b]]['end']) <=>
                    (null === $last[$a] ? \PHP_INT_MIN : $list[$last[$a]]['end']),
            );
            $before = [];
            foreach (\array_slice($free, 0, $user['units']) as $unit) {
                if (null !== $last[$unit]) {
                    $before[$last[$unit]] = true;
                }
                $last[$unit] = $j;
            }
            foreach (array_keys($before) as $i) {
                foreach ($list[$i]['activities'] as $from) {
                    foreach ($user['activities'] as $to) {
                        if ($this->solution->activities[$from]->end <= $this->solution->activities[$to]->start && $from !== $to) {
                            $this->arcs[$to][] = [$from, true, false, $resource->turnover];
                        }
                    }
                }
            }
        }
    }
}
