<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * A problem translated once into int lists: activities, resources and choices by index, links as arcs. Everything that
 * runs hot works on this.
 *
 * A "choice" is one decision on resources: each need without sameAs has one of its own; a need with sameAs shares that of
 * the need it points at.
 */
final class Network
{
    public int $size;

    /** @var list<string> activity ids by index */
    public array $ids = [];

    /** @var array<string, int> */
    public array $indexOf = [];

    /** @var list<int> likely duration by activity */
    public array $likely = [];

    /** @var list<int> shortest duration over all choices, by activity */
    public array $shortest = [];

    /** @var list<int> longest duration over all choices, by activity */
    public array $longest = [];

    /** @var list<int> by activity */
    public array $earliestStart = [];

    /** @var list<int> by activity */
    public array $latestEnd = [];

    /** @var list<string> resource ids by index */
    public array $resourceIds = [];

    /** @var list<int> by resource */
    public array $capacity = [];

    /** @var list<int> by resource */
    public array $turnover = [];

    /** @var list<list<array{int, int}>> by resource */
    public array $calendar = [];

    /** @var list<list<int>> options (resource indexes) by choice */
    public array $options = [];

    /** @var list<int> how many of the options are taken, by choice */
    public array $takes = [];

    /** @var list<list<array{int, int, array<int, int>}>> by activity: choice, units, own duration by resource */
    public array $needs = [];

    /** @var list<list<array{int, int}>> by hold: choice, units */
    public array $holdNeeds = [];

    /** @var list<list<int>> members by hold */
    public array $holdMembers = [];

    /** @var list<list<int>> holds by activity */
    public array $holdsOf = [];

    /** @var list<string> */
    public array $holdIds = [];

    /**
     * @var list<array{int, int, int, ?int, bool, bool}> links: from, to, min, max, from's end, to's end
     */
    public array $links = [];

    /** @var list<list<int>> links (by index) touching an activity */
    public array $linksOf = [];

    public function __construct(public readonly Problem $problem)
    {
        $resourceIndex = [];
        foreach ($problem->resources as $resource) {
            $resourceIndex[$resource->id] = \count($this->resourceIds);
            $this->resourceIds[] = $resource->id;
            $this->capacity[] = $resource->capacity;
            $this->turnover[] = $resource->turnover;
            $this->calendar[] = $resource->calendar;
        }
        foreach ($problem->activities as $id => $activity) {
            $this->indexOf[$id] = \count($this->ids);
            $this->ids[] = (string) $id;
            $this->earliestStart[] = $activity->earliestStart;
            $this->latestEnd[] = $activity->latestEnd;
            $this->linksOf[] = [];
            $this->holdsOf[] = [];
        }
        $this->size = \count($this->ids);
        $choiceOf = [];
        foreach ($problem->activities as $activity) {
            $needs = [];
            foreach ($activity->needs as $k => $need) {
                $durations = [];
                foreach ($need->durations as $resource => $duration) {
                    $durations[$resourceIndex[$resource]] = $duration;
                }
                $needs[] = [
                    $this->choice(NeedReference::ofActivity($activity->id, $k), $choiceOf, $resourceIndex),
                    $need->units,
                    $durations,
                ];
            }
            $this->needs[] = $needs;
        }
        foreach ($problem->holds as $hold) {
            $h = \count($this->holdIds);
            $this->holdIds[] = $hold->id;
            $this->holdMembers[] = array_map(fn (string $a): int => $this->indexOf[$a], $hold->activities);
            $needs = [];
            foreach ($hold->needs as $k => $need) {
                $needs[] = [$this->choice(NeedReference::ofHold($hold->id, $k), $choiceOf, $resourceIndex), $need->units];
            }
            $this->holdNeeds[] = $needs;
            foreach ($this->holdMembers[$h] as $i) {
                $this->holdsOf[$i][] = $h;
            }
        }
        foreach ($problem->links as $index => $link) {
            $from = $this->indexOf[$link->from];
            $to = $this->indexOf[$link->to];
            $this->links[] = [$from, $to, $link->min, $link->max, $link->type->fromEnd(), $link->type->toEnd()];
            $this->linksOf[$from][] = $index;
            if ($to !== $from) {
                $this->linksOf[$to][] = $index;
            }
        }
        foreach (array_values($problem->activities) as $i => $activity) {
            $this->likely[] = $activity->duration->likely;
            [$this->shortest[], $this->longest[]] = $this->durationBounds($i, $activity->duration->likely);
        }
    }

    /**
     * @param array<string, int> $choiceOf      by the place of the choosing need; filled here
     * @param array<string, int> $resourceIndex
     */
    private function choice(NeedReference $place, array &$choiceOf, array $resourceIndex): int
    {
        [$key, $root] = $this->problem->root($place);
        if (!isset($choiceOf[$key])) {
            $choiceOf[$key] = \count($this->options);
            $this->options[] = array_map(static fn (string $id): int => $resourceIndex[$id], $root->from);
            $this->takes[] = $root->count;
        }

        return $choiceOf[$key];
    }

    /**
     * How long an activity lasts on what is chosen: the longest of its own durations there, else the likely one.
     *
     * @param array<int, list<int>|null> $chosen resources by choice
     * @param array<int, list<int>|null> $else   where nothing is chosen there
     */
    public function duration(int $activity, array $chosen, array $else = []): int
    {
        $longest = -1;
        foreach ($this->needs[$activity] as [$choice, , $own]) {
            if ([] !== $own) {
                foreach ($chosen[$choice] ?? $else[$choice] ?? [] as $r) {
                    $longest = max($longest, $own[$r] ?? $this->likely[$activity]);
                }
            }
        }

        return $longest < 0 ? $this->likely[$activity] : $longest;
    }

    /** @return array<int, int> choices an activity relies on, its holds' among them */
    public function choicesOf(int $activity): array
    {
        $choices = [];
        foreach ($this->needs[$activity] as [$choice]) {
            $choices[$choice] = $choice;
        }
        foreach ($this->holdsOf[$activity] as $h) {
            foreach ($this->holdNeeds[$h] as [$choice]) {
                $choices[$choice] = $choice;
            }
        }

        return $choices;
    }

    /** @return array{int, int} */
    private function durationBounds(int $activity, int $likely): array
    {
        $least = $most = null;
        foreach ($this->needs[$activity] as [$choice, , $durations]) {
            if ([] === $durations) {
                continue;
            }
            $each = array_map(static fn (int $r): int => $durations[$r] ?? $likely, $this->options[$choice]);
            sort($each);
            // With several taken, the longest of them counts: at best the k-th shortest.
            $least = max($least ?? 0, $each[min(\count($each), $this->takes[$choice]) - 1] ?? $likely);
            $most = max($most ?? 0, [] === $each ? $likely : max($each));
        }

        return [$least ?? $likely, $most ?? $likely];
    }

    /**
     * Start-to-start arcs that hold whatever is chosen: start(to) ≥ start(from) + weight.
     *
     * @return list<array{int, int, int, int}> from, to, weight, index of the link
     */
    public function arcs(): array
    {
        $arcs = [];
        foreach ($this->links as $index => [$from, $to, $min, $max, $fromEnd, $toEnd]) {
            $arcs[] = [$from, $to, $min + ($fromEnd ? $this->shortest[$from] : 0) - ($toEnd ? $this->longest[$to] : 0), $index];
            if (null !== $max) {
                $arcs[] = [$to, $from, -$max + ($toEnd ? $this->shortest[$to] : 0) - ($fromEnd ? $this->longest[$from] : 0), $index];
            }
        }

        return $arcs;
    }
}
