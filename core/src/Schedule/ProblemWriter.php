<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** Writes problems and solutions in the open format. */
final class ProblemWriter
{
    /** @return array<string, mixed> */
    public function problem(Problem $problem): array
    {
        return [
            'format' => Problem::FORMAT,
            'version' => Problem::VERSION,
            'horizon' => [$problem->horizonStart, $problem->horizonEnd],
            'unitSeconds' => $problem->unitSeconds,
            'resources' => array_values(
                array_map(
                    static fn (Resource $r): array => ['id' => $r->id, 'capacity' => $r->capacity] +
                        ($r->turnover > 0 ? ['turnover' => $r->turnover] : []) +
                        ([[$problem->horizonStart, $problem->horizonEnd]] === $r->calendar ? [] : ['calendar' => $r->calendar]),
                    $problem->resources,
                ),
            ),
            'activities' => array_values(array_map(fn (Activity $a): array => $this->activity($a, $problem), $problem->activities)),
            'links' => array_map(
                static fn (Link $l): array => ['from' => $l->from, 'to' => $l->to, 'min' => $l->min, 'max' => $l->max] +
                    (LinkType::EndToStart === $l->type ? [] : ['type' => $l->type->value]),
                $problem->links,
            ),
            'holds' => array_values(
                array_map(
                    fn (Hold $h): array => [
                        'id' => $h->id,
                        'activities' => $h->activities,
                        'needs' => array_map($this->need(...), $h->needs),
                    ],
                    $problem->holds,
                ),
            ),
            'objective' => $problem->objective->makespan
                ? ['kind' => 'makespan']
                : ['kind' => 'just-in-time', 'span' => $problem->objective->span] +
                    (null === $problem->objective->spanOf ? [] : ['spanOf' => $problem->objective->spanOf]),
        ];
    }

    /** @return array<string, mixed> */
    private function activity(Activity $a, Problem $problem): array
    {
        $written = [
            'id' => $a->id,
            'duration' => $a->duration->isExact()
                ? $a->duration->likely
                : ['min' => $a->duration->min, 'likely' => $a->duration->likely, 'max' => $a->duration->max],
        ];
        if ([] !== $a->needs) {
            $written['needs'] = array_map($this->need(...), $a->needs);
        }
        if ($a->earliestStart > $problem->horizonStart) {
            $written['earliestStart'] = $a->earliestStart;
        }
        if ($a->latestEnd < $problem->horizonEnd) {
            $written['latestEnd'] = $a->latestEnd;
        }
        if (null !== $a->due) {
            $written['due'] = ['at' => $a->due->at, 'early' => $a->due->early, 'late' => $a->due->late];
        }

        return $written;
    }

    /** @return array<string, mixed> */
    private function need(Need $need): array
    {
        $written =
            null === $need->sameAs
                ? ['from' => $need->from] + ($need->count > 1 ? ['count' => $need->count] : [])
                : ['sameAs' => [$need->sameAs->ofHold ? 'hold' : 'activity' => $need->sameAs->id, 'need' => $need->sameAs->need]];

        return $written +
            ($need->units > 1 ? ['units' => $need->units] : []) +
            ([] === $need->durations ? [] : ['duration' => $need->durations]);
    }

    /** @return array<string, mixed> */
    public function solution(Solution $solution, int $elapsedMs): array
    {
        return [
            'format' => 'feast-ladle/schedule-solution',
            'version' => 1,
            'status' => $solution->status->value,
            'objective' => $solution->objective,
            'bound' => $solution->bound,
            'activities' => (object) array_map(
                static fn (Placement $p): array => ['start' => $p->start, 'end' => $p->end, 'uses' => $p->uses],
                $solution->activities,
            ),
            'holds' => (object) array_map(static fn (array $uses): array => ['uses' => $uses], $solution->holds),
            'elapsedMs' => $elapsedMs,
            'seed' => $solution->seed,
            'conflicts' => array_map(
                static fn (Conflict $c): array => array_filter([
                    'kind' => $c->kind->value,
                    'text' => $c->text,
                    'activities' => $c->activities,
                    'resources' => $c->resources,
                    'links' => $c->links,
                ]),
                $solution->conflicts,
            ),
        ];
    }
}
