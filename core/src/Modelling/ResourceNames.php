<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

use FeastLadle\Kitchen\Kitchen;

/** What a cook calls the resources of a schedule problem. */
final class ResourceNames
{
    public static function of(Kitchen $kitchen, string $resource): string
    {
        foreach ($kitchen->tools as $tool) {
            if (StepNeeds::TOOL.$tool->id === $resource) {
                return $tool->name;
            }
        }

        return match ($resource) {
            StepNeeds::COLD => 'the cold space',
            StepNeeds::DRYING => 'the room to dry on',
            Resources::SOMEBODY => 'somebody to begin it',
            default => ($kitchen->burners[$resource] ?? ($kitchen->vessels[$resource] ?? ($kitchen->people[$resource] ?? null)))->name ??
                $resource,
        };
    }

    /** What it is that there is too little of, by the first of them. */
    public static function kind(Kitchen $kitchen, string ...$resources): ObstacleKind
    {
        $first = $resources[0] ?? '';

        return match (true) {
            isset($kitchen->burners[$first]) => ObstacleKind::Fire,
            isset($kitchen->vessels[$first]) => ObstacleKind::Vessel,
            isset($kitchen->people[$first]), Resources::SOMEBODY === $first => ObstacleKind::Hands,
            str_starts_with($first, StepNeeds::TOOL) => ObstacleKind::Tool,
            default => ObstacleKind::Space,
        };
    }

    /** @param list<string> $resources */
    public static function list(Kitchen $kitchen, array $resources): string
    {
        return implode(', ', array_map(static fn (string $r): string => self::of($kitchen, $r), $resources));
    }
}
