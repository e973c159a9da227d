<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * What takes its turn where. A use is an activity, a hold or a closing of a calendar, by number; a place is a resource, or the inside of
 * a hold on a resource, where what belongs to the hold takes its turns.
 */
final class Uses
{
    /** @var array<int, list<int>> activities and holds (as uses) that rely on a choice */
    public readonly array $of;

    /** @var list<array{int, int, int}> resource, from, to; numbered after the holds */
    public readonly array $closings;

    public readonly int $firstClosing;

    private readonly int $resources;

    private readonly PathsFrom $paths;

    /** @var array<int, array<int, bool>> by pair of uses that was asked for */
    private array $canPrecede = [];

    public function __construct(public readonly Network $network, public readonly TimingModel $model)
    {
        $this->paths = new PathsFrom($network->size, $network->arcs());
        $n = $network;
        $this->resources = \count($n->resourceIds);
        $of = [];
        foreach ($n->needs as $i => $needs) {
            foreach ($needs as [$choice]) {
                $of[$choice][$i] = $i;
            }
        }
        foreach ($n->holdNeeds as $h => $needs) {
            foreach ($needs as [$choice]) {
                $of[$choice][$n->size + $h] = $n->size + $h;
            }
        }
        $this->of = array_map(array_values(...), $of);
        $this->firstClosing = $n->size + \count($n->holdIds);
        $closings = [];
        foreach ($n->calendar as $r => $calendar) {
            $from = $n->problem->horizonStart;
            foreach ($calendar as $k => [$open, $close]) {
                if ($k > 0 || $open > $from) {
                    $closings[] = [$r, $from, $open];
                }
                $from = $close;
            }
            if ([] === $calendar || $from < $n->problem->horizonEnd) {
                $closings[] = [$r, $from, $n->problem->horizonEnd];
            }
        }
        $this->closings = $closings;
    }

    public function isClosing(int $use): bool
    {
        return $use >= $this->firstClosing;
    }

    /** Whether links leave it open that all of one is over before the other begins. */
    public function canPrecede(int $first, int $second): bool
    {
        return $this->canPrecede[$first][$second] ??= $this->findsNoWayBack($first, $second);
    }

    private function findsNoWayBack(int $first, int $second): bool
    {
        if ($this->isClosing($first) || $this->isClosing($second)) {
            return true;
        }
        $n = $this->network;
        foreach ($second < $n->size ? [$second] : $n->holdMembers[$second - $n->size] as $i) {
            $paths = $this->paths->of($i);
            foreach ($first < $n->size ? [$first] : $n->holdMembers[$first - $n->size] as $j) {
                if (isset($paths[$j]) && $paths[$j] + $n->shortest[$j] > 0) {
                    return false;
                }
            }
        }

        return true;
    }

    /** The resource of a place. */
    public function resource(int $place): int
    {
        return $place % $this->resources;
    }

    /** Minutes that must lie between two uses of a place. */
    public function turnover(int $place, int $a, int $b): int
    {
        return $place < $this->resources && $a < $this->firstClosing && $b < $this->firstClosing ? $this->network->turnover[$place] : 0;
    }

    /** @return array{int, int} the time a use starts from, and what is to be added to it */
    public function start(int $use): array
    {
        return match (true) {
            $use < $this->network->size => [$this->model->start($use), 0],
            $use < $this->firstClosing => [$this->model->holdStart($use - $this->network->size), 0],
            default => [0, $this->closings[$use - $this->firstClosing][1]],
        };
    }

    /**
     * @param array<int, int> $duration by activity
     *
     * @return array{int, int}
     */
    public function end(int $use, array $duration): array
    {
        return match (true) {
            $use < $this->network->size => [$this->model->start($use), $duration[$use]],
            $use < $this->firstClosing => [$this->model->holdEnd($use - $this->network->size), 0],
            default => [0, $this->closings[$use - $this->firstClosing][2]],
        };
    }

    /**
     * Where an activity or a hold takes its turns.
     *
     * @param array<int, list<int>> $chosen   resources by choice
     * @param array<int, int>       $duration by activity
     *
     * @return array<int, int> units by place
     */
    public function places(int $use, array $chosen, array $duration): array
    {
        if ($use >= $this->network->size) {
            return $this->placesOfHold($use - $this->network->size, $chosen, $duration);
        }
        $places = [];
        foreach ($this->unitsOf($use, $chosen, $duration) as $r => $units) {
            $inside = false;
            foreach ($this->network->holdsOf[$use] as $h) {
                foreach ($this->network->holdNeeds[$h] as [$choice]) {
                    if (\in_array($r, $chosen[$choice], true)) {
                        $inside = true;
                        $places[($h + 1) * $this->resources + $r] = $units;
                    }
                }
            }
            if (!$inside) {
                $places[$r] = $units;
            }
        }

        return $places;
    }

    /**
     * Units there are at a place.
     *
     * @param array<int, list<int>> $chosen
     * @param array<int, int>       $duration
     */
    public function room(int $place, array $chosen, array $duration): int
    {
        return $place < $this->resources
            ? $this->network->capacity[$place]
            : $this->placesOfHold(intdiv($place, $this->resources) - 1, $chosen, $duration)[$place % $this->resources] ?? 0;
    }

    /**
     * A hold takes as much as the greediest of what belongs to it, so that what is inside never overfills it.
     *
     * @param array<int, list<int>> $chosen
     * @param array<int, int>       $duration
     *
     * @return array<int, int>
     */
    private function placesOfHold(int $h, array $chosen, array $duration): array
    {
        $places = [];
        foreach ($this->network->holdNeeds[$h] as [$choice, $units]) {
            foreach ($chosen[$choice] as $r) {
                $places[$r] = ($places[$r] ?? 0) + $units;
            }
        }
        foreach ([] === $places ? [] : $this->network->holdMembers[$h] as $i) {
            foreach ($this->unitsOf($i, $chosen, $duration) as $r => $units) {
                if (isset($places[$r]) && $units > $places[$r]) {
                    $places[$r] = $units;
                }
            }
        }

        return $places;
    }

    /**
     * @param array<int, list<int>> $chosen
     * @param array<int, int>       $duration
     *
     * @return array<int, int> units by resource
     */
    private function unitsOf(int $i, array $chosen, array $duration): array
    {
        $units = [];
        if ($duration[$i] > 0) {
            foreach ($this->network->needs[$i] as [$choice, $each]) {
                foreach ($chosen[$choice] as $r) {
                    $units[$r] = ($units[$r] ?? 0) + $each;
                }
            }
        }

        return $units;
    }
}
