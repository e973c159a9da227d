<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Batch\PotChoice;
use FeastLadle\Heat\Flame;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Recipe\Growth;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Step;
use FeastLadle\Schedule\Need;
use FeastLadle\Timing\StepTimer;

/** Which vessels of the kitchen serve for a run of steps as well as the one chosen. */
final readonly class VesselNeeds
{
    /** Another pot serves as well when a step takes at most this much longer in it. */
    private const AS_GOOD_AS = 1.25;

    public function __construct(private Kitchen $kitchen, private StepTimer $timer)
    {
    }

    /** @return list<Need> */
    public function of(PlannedDish $planned, PotChoice $choice): array
    {
        if (\count($choice->vessels) > 1) {
            return array_map(static fn ($v): Need => new Need([$v->id]), $choice->vessels);
        }
        $options = [$choice->vessel()->id];
        if (!$choice->ownWish && null === $choice->frying) {
            foreach ($this->kitchen->vessels as $vessel) {
                if (
                    $vessel->id !== $choice->vessel()->id
                    && $vessel->kind === $choice->run->kind
                    && $choice->run->needBrimMl <= $vessel->shape->brimfulMl()
                    && $this->isAsGood($planned, $choice, $vessel->id)
                ) {
                    $options[] = $vessel->id;
                }
            }
        }

        return [new Need($options)];
    }

    /** Whether every timed step of the run takes about as long in another vessel. */
    private function isAsGood(PlannedDish $planned, PotChoice $choice, string $vesselId): bool
    {
        $other = new PotChoice($choice->run, [$this->kitchen->vessels[$vesselId]], $choice->fullestMl, null, $choice->reason, false);
        foreach ($choice->run->flows as $flow) {
            $growth = $flow->step->work->time->growth;
            if (!$growth->facts()->isLaw && Growth::Load !== $growth && Process::Pressure !== $flow->step->process) {
                continue;
            }
            foreach (Flame::None === $flow->step->work->flame ? [null] : $this->kitchen->burners as $burner) {
                $own = $this->timer->minutes($flow, $choice, $planned->scaleOf($flow->step), $burner);
                $there = $this->timer->minutes($flow, $other, $planned->scaleOf($flow->step), $burner);
                if (null !== $own && (null === $there || $there->likely > self::AS_GOOD_AS * $own->likely + 1)) {
                    return false;
                }
            }
        }

        return true;
    }
}
