<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Amounts\MeasuredBowl;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Vessel\Vessel;

/** What free hands can do that saves minutes later: bowls of the steps that come next, pots that are wanted again. */
final readonly class IdleHands
{
    /** Nobody measures out for later than that. */
    private const AHEAD_MINUTES = 240;

    private const MOST = 4;

    public function __construct(private Kitchen $kitchen)
    {
    }

    /**
     * @param array<string, true> $ticked as Heard has it; a bowl that stands ready or is in is not measured again
     *
     * @return list<array{step: PlannedStep, bowl: MeasuredBowl|null, number: int|null, vessel: Vessel|null}> by when it is wanted: a bowl
     *     with its number among those of its step, or a vessel to wash
     */
    public function of(DayState $state, array $ticked): array
    {
        $work = [];
        $dirty = $this->dirty($state);
        $placed = $state->placed();
        usort($placed, static fn (array $a, array $b): int => $a[1]->start <=> $b[1]->start);
        foreach ($placed as [$step, $at]) {
            $isAhead = StepState::NotYet === $step->progress->state || StepState::CanBegin === $step->progress->state;
            if (!$isAhead || $at->start > $state->at->modify('+'.self::AHEAD_MINUTES.' minutes')) {
                continue;
            }
            foreach ($at->vessels as $vessel) {
                if (isset($dirty[$vessel])) {
                    unset($dirty[$vessel]);
                    $work[] = ['step' => $at, 'bowl' => null, 'number' => null, 'vessel' => $this->kitchen->vessels[$vessel]];
                }
            }
            foreach ($at->bowls as $k => $bowl) {
                if (!isset($ticked[$step->id().' bowl '.($k + 1)])) {
                    $work[] = ['step' => $at, 'bowl' => $bowl, 'number' => $k + 1, 'vessel' => null];
                }
            }
        }

        return \array_slice($work, 0, self::MOST);
    }

    /** @return array<string, true> vessels that were used, stand empty and are wanted again */
    private function dirty(DayState $state): array
    {
        $used = $busy = [];
        foreach ($state->steps as $step) {
            foreach ($step->planned->vessels as $vessel) {
                if (StepState::Done === $step->progress->state) {
                    $used[$vessel] = true;
                } elseif (StepState::Running === $step->progress->state) {
                    $busy[$vessel] = true;
                }
            }
        }
        foreach ($state->vessels as $vessel) {
            $busy[$vessel->vessel->id] = true;
        }

        return array_diff_key($used, $busy);
    }
}
