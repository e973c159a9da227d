<?php

declare(strict_types=1);

namespace FeastLadle\Batch;

use FeastLadle\Flow\VesselRun;
use FeastLadle\Recipe\Recipe;

/** Runs that must not share a vessel: one is poured into the other, or both into a third. */
final class MeetingRuns
{
    /**
     * @param list<VesselRun> $runs
     *
     * @return array<string, array<string, true>>
     */
    public static function of(Recipe $recipe, array $runs): array
    {
        $runOf = [];
        $neighbours = [];
        foreach ($runs as $run) {
            $neighbours[$run->id] = [];
            foreach ($run->flows as $flow) {
                $runOf[$flow->step->id] = $run->id;
            }
        }
        foreach ($recipe->steps as $step) {
            $meeting = array_map(static fn (string $s): ?string => $runOf[$s] ?? null, $step->sources());
            $meeting[] = $runOf[$step->id] ?? null;
            $meeting = array_values(array_unique(array_filter($meeting)));
            foreach ($meeting as $a) {
                foreach ($meeting as $b) {
                    if ($a !== $b) {
                        $neighbours[$a][$b] = true;
                    }
                }
            }
        }

        return $neighbours;
    }
}
