<?php

declare(strict_types=1);

namespace FeastLadle\Checking;

use FeastLadle\Flow\Ledger;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\Step;
use FeastLadle\Schedule\Activity;
use FeastLadle\Schedule\DurationRange;
use FeastLadle\Schedule\Link;
use FeastLadle\Schedule\LinkType;
use FeastLadle\Schedule\Network;
use FeastLadle\Schedule\Objective;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\Propagation;

/** Whether the ties of a recipe can hold together at all, with every fire and hand free: the scheduler's own propagation decides. */
final class TieCheck implements Check
{
    /** Longer than any chain of steps and keeping. */
    private const HORIZON = 10_000_000;

    public function check(Recipe $recipe, Ledger $ledger): array
    {
        $activities = [];
        $links = [];
        foreach ($recipe->steps as $step) {
            // The shortest a step can be gives ties the best chance; a law may be very quick.
            $activities[$step->id] = new Activity(
                $step->id,
                DurationRange::exactly((int) floor($step->work->time->growth->facts()->isLaw ? 1 : $step->work->time->minMinutes)),
                [],
                0,
                self::HORIZON,
                null,
            );
            array_push($links, ...$this->linksOf($recipe, $step));
        }
        $conflicts = (new Propagation(
            new Network(new Problem(0, self::HORIZON, 60, [], $activities, $links, [], Objective::justInTime())),
        ))->conflicts;

        return array_map(
            static fn ($conflict): Finding => new Finding(
                Severity::Error,
                $conflict->activities[0] ?? $recipe->lastStep,
                'These cannot all keep their ties: {steps}.',
                'Lengthen the longest gap of one of them, or shorten what lies between.',
                [
                    'steps' => implode(
                        ', ',
                        array_map(static fn (string $id): string => '"'.$recipe->step($id)->title.'"', $conflict->activities),
                    ),
                ],
            ),
            $conflicts,
        );
    }

    /** @return list<Link> */
    private function linksOf(Recipe $recipe, Step $step): array
    {
        $links = [];
        foreach ($step->takes as $take) {
            if (null === $take->fromStep) {
                continue;
            }
            if ($take->manner->straightOn) {
                array_push(
                    $links,
                    new Link($take->fromStep, $step->id, 0, null, LinkType::StartToStart),
                    new Link($take->fromStep, $step->id, 0, null, LinkType::EndToEnd),
                );
            } else {
                $links[] = new Link(
                    $take->fromStep,
                    $step->id,
                    0,
                    $recipe->step($take->fromStep)->gives->keepingOf($take->output)?->minutes,
                );
            }
        }
        foreach ($step->ties as $tie) {
            $links[] = new Link($tie->after, $step->id, $tie->minMinutes, $tie->maxMinutes);
        }

        return $links;
    }
}
