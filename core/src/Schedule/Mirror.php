<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** A problem read from its end: time t becomes −t. As late as possible in the mirror is as early as possible here. */
final class Mirror
{
    public static function of(Problem $problem): Problem
    {
        $resources = array_map(
            static fn (Resource $r): Resource => new Resource(
                $r->id,
                $r->capacity,
                $r->turnover,
                array_reverse(array_map(static fn (array $i): array => [-$i[1], -$i[0]], $r->calendar)),
            ),
            $problem->resources,
        );
        $activities = array_map(
            static fn (Activity $a): Activity => new Activity($a->id, $a->duration, $a->needs, -$a->latestEnd, -$a->earliestStart, null),
            $problem->activities,
        );
        $links = array_map(
            static fn (Link $l): Link => new Link(
                $l->to,
                $l->from,
                $l->min,
                $l->max,
                match ($l->type) {
                    LinkType::StartToStart => LinkType::EndToEnd,
                    LinkType::EndToEnd => LinkType::StartToStart,
                    default => $l->type,
                },
            ),
            $problem->links,
        );

        return new Problem(
            -$problem->horizonEnd,
            -$problem->horizonStart,
            $problem->unitSeconds,
            $resources,
            $activities,
            $links,
            $problem->holds,
            $problem->objective,
        );
    }
}
