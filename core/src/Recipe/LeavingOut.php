<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Document\Node;

/**
 * A recipe without steps that may be left out when time is short. What such a step only adds is not there for those that took it; what it
 * works on is taken as it came.
 */
final class LeavingOut
{
    /**
     * @param array<string, Step> $steps
     * @param array<string, Node> $nodes  where each step stands in the document
     * @param list<string>        $out    ids; of steps that are not in this way of the recipe nothing is to be left out
     * @param string              $result the last step, which can't be left out
     *
     * @return array<string, Step>
     */
    public function of(array $steps, array $nodes, array $out, string $result): array
    {
        foreach ($steps as $id => $step) {
            $place = $nodes[$id]->at('may');
            if (null === $step->losesIfLeftOut) {
                if ($nodes[$id]->has('loses')) {
                    $nodes[$id]->at('loses')->fault('A step that may not be left out loses nothing by it. Say "may" too.');
                }
                continue;
            }
            if ($id === $result) {
                $place->fault('The last step can\'t be left out.');
            } elseif ([] !== $step->gives->outputs) {
                $place->fault('A step that gives several things can\'t be left out.');
            } elseif (\count($step->sources()) > 1) {
                $place->fault('A step that brings several things together can\'t be left out.');
            } elseif (\in_array($id, $out, true)) {
                $steps = $this->without($steps, $step);
            }
        }

        return $steps;
    }

    /**
     * @param array<string, Step> $steps
     *
     * @return array<string, Step>
     */
    private function without(array $steps, Step $gone): array
    {
        $passed = array_values(array_filter($gone->takes, static fn (Take $t): bool => null !== $t->fromStep))[0] ?? null;
        $rest = [];
        foreach ($steps as $id => $step) {
            if ($id !== $gone->id) {
                $rest[$id] = $step->with(
                    takes: array_values(
                        array_filter(
                            array_map(
                                static fn (Take $t): ?Take => $t->fromStep === $gone->id ? $passed?->insteadOf($t) : $t,
                                $step->takes,
                            ),
                        ),
                    ),
                    ties: array_values(
                        array_filter(
                            array_map(
                                static fn (Tie $t): ?Tie => $t->after === $gone->id ? self::tied($t, $passed?->fromStep) : $t,
                                $step->ties,
                            ),
                        ),
                    ),
                    vessel: $gone->id === $step->vessel?->continues
                        ? (null === $gone->vessel?->continues
                            ? VesselUse::fresh($step->vessel->kind, $step->vessel->mostGrams)
                            : VesselUse::continued($step->vessel->kind, $gone->vessel->continues, $step->vessel->mostGrams))
                        : $step->vessel,
                );
            }
        }

        return $rest;
    }

    private static function tied(Tie $tie, ?string $after): ?Tie
    {
        return null === $after ? null : new Tie($after, $tie->minMinutes, $tie->maxMinutes, $tie->why, $tie->place);
    }
}
