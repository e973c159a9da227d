<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * What a schedule comes to when things take longer or shorter than likely. Every duration is drawn from its triangle; nothing starts before its
 * planned time, and who has a fire, pot or hand now keeps the turn (a partial order schedule: the planned order of users becomes arcs, after
 * Policella and others 2007). A start that falls outside the calendar of somebody chosen for it waits until they are there again.
 */
final class Risk
{
    public const USUAL_RUNS = 1000;

    /** The chance that shall be had of being in time. */
    private const SURE = 0.95;

    /** @var list<string> in an order in which nothing comes before what it waits for */
    private array $order = [];

    /** @var array<string, list<array{string, bool, bool, int}>> by activity: what it waits for, from that one's end, to its own end, lag */
    private array $arcs = [];

    /** @var array<string, list<list<array{int, int}>>> calendars that bind an activity */
    private array $calendars = [];

    private function __construct(private readonly Problem $problem, private readonly Solution $solution)
    {
        $this->order = array_keys($solution->activities);
        usort($this->order, static fn (string $a, string $b): int => [$solution->activities[$a]->start, $solution->activities[$a]->end, $a] <=> [$solution->activities[$b]->start, $solution->activities[$b]->end, $b]);
        foreach ($this->order as $id) {
            $this->arcs[$id] = [];
            $this->calendars[$id] = [];
        }
        $this->links();
        $this->turns();
        foreach ($this->arcs as $id => $arcs) {
            $this->arcs[$id] = self::tightest($arcs);
        }
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

    /**
     * @param int $grace by how much after its due time an activity still counts as in time, where the plan has put that before the moment
     *
     * @throws \DomainException when there is no schedule to try
     */
    public static function of(Problem $problem, Solution $solution, int $runs = self::USUAL_RUNS, int $seed = 1, int $grace = 0): RiskReport
    {
        if (SolutionStatus::Feasible !== $solution->status) {
            throw new \DomainException('Only a schedule can be tried; there is none.');
        }
        if ($runs < 1 || $runs > 100_000) {
            throw new \DomainException(\sprintf('%d runs are outside 1 to 100000.', $runs));
        }

        return (new self($problem, $solution))->run($runs, $seed, $grace);
    }

    private function run(int $runs, int $seed, int $grace): RiskReport
    {
        $random = new Randomizer(new Mt19937($seed));
        $due = array_filter($this->problem->activities, static fn (Activity $a): bool => null !== $a->due && $a->due->late > 0);
        $lateness = array_fill_keys(array_keys($due), []);
        $blame = array_fill_keys($this->order, 0);
        for ($run = 0; $run < $runs; ++$run) {
            [$ends, $causes] = $this->once($random);
            $blamed = [];
            foreach ($due as $id => $activity) {
                $late = max(0, $ends[$id] - ($activity->due->at ?? 0) - $grace);
                $lateness[$id][] = $late;
                // Back along what it waited for, to the steps that took longer than planned.
                for ($at = $id; $late > 0 && null !== $at; $at = $causes[$at]) {
                    $planned = $this->solution->activities[$at];
                    if ($ends[$at] > $planned->end) {
                        $blamed[$at] = true;
                    }
                }
            }
            foreach (array_keys($blamed) as $id) {
                ++$blame[$id];
            }
        }
        $chances = [];
        $earlier = [];
        foreach ($lateness as $id => $minutes) {
            sort($minutes);
            $chances[$id] = (float) (\count(array_filter($minutes, static fn (int $m): bool => 0 === $m)) / $runs);
            $earlier[$id] = $minutes[min($runs - 1, (int) ceil(self::SURE * $runs) - 1)];
        }
        arsort($blame);

        return new RiskReport($runs, $seed, $chances, $earlier, array_map(static fn (int $n): float => $n / $runs, array_filter($blame)));
    }

    /** @return array{array<string, int>, array<string, string|null>} ends, and what each waited for */
    private function once(Randomizer $random): array
    {
        $starts = [];
        $ends = [];
        $causes = [];
        foreach ($this->order as $id) {
            $planned = $this->solution->activities[$id];
            $length = $this->draw($random, $this->problem->activities[$id]->duration, $planned->end - $planned->start);
            $start = $planned->start;
            $causes[$id] = null;
            foreach ($this->arcs[$id] as [$from, $fromEnd, $toEnd, $lag]) {
                $earliest = ($fromEnd ? $ends[$from] : $starts[$from]) + $lag - ($toEnd ? $length : 0);
                if ($earliest > $start) {
                    $start = $earliest;
                    $causes[$id] = $from;
                }
            }
            $starts[$id] = $this->whenTheyAreThere($id, $start, $length);
            $ends[$id] = $starts[$id] + $length;
        }

        return [$ends, $causes];
    }

    /** One length out of the triangle, which is stretched to the planned one. */
    private function draw(Randomizer $random, DurationRange $range, int $planned): int
    {
        if ($range->isExact() || $planned < 1 || $range->likely < 1) {
            return $planned;
        }
        $u = $random->getInt(0, 1_000_000) / 1_000_000;
        $width = $range->max - $range->min;
        $peak = ($range->likely - $range->min) / $width;
        $drawn = $u < $peak ? $range->min + sqrt($u * $width * ($range->likely - $range->min)) : $range->max - sqrt((1 - $u) * $width * ($range->max - $range->likely));

        return max(1, (int) round($drawn * $planned / $range->likely));
    }

    private function whenTheyAreThere(string $id, int $start, int $length): int
    {
        $moved = true;
        for ($tries = 0; $moved && $tries < 20; ++$tries) {
            $moved = false;
            foreach ($this->calendars[$id] as $calendar) {
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
                    $users[$resource][] = ['start' => $start, 'end' => $end, 'units' => $hold->needs[$need]->units, 'activities' => $hold->activities];
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
                        $users[$resource][] = ['start' => $placement->start, 'end' => $placement->end, 'units' => $this->problem->activities[$id]->needs[$need]->units, 'activities' => [$id]];
                    }
                    if (\count($this->problem->resources[$resource]->calendar) > 1 || [[$this->problem->horizonStart, $this->problem->horizonEnd]] !== $this->problem->resources[$resource]->calendar) {
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
            usort($free, static fn (int $a, int $b): int => (null === $last[$b] ? \PHP_INT_MIN : $list[$last[$b]]['end']) <=> (null === $last[$a] ? \PHP_INT_MIN : $list[$last[$a]]['end']));
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
