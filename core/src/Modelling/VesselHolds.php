<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Amounts\Round;
use FeastLadle\Batch\PotChoice;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Recipe\Step;
use FeastLadle\Schedule\Activity;
use FeastLadle\Schedule\DurationRange;
use FeastLadle\Schedule\Hold;
use FeastLadle\Schedule\Link;
use FeastLadle\Schedule\LinkType;
use FeastLadle\Schedule\Need;

/** Each vessel kept from the first step of its run until its contents have gone into the next. */
final readonly class VesselHolds
{
    public function __construct(private VesselNeeds $vesselNeeds, private TimeAxis $axis, private ModelParts $parts)
    {
    }

    /**
     * Keeps the vessel of a run from its first step until the contents have gone into the next, in each round.
     *
     * @param list<Round> $rounds
     */
    public function add(PlannedDish $planned, PotChoice $choice, array $rounds): void
    {
        $needs = $this->vesselNeeds->of($planned, $choice);
        foreach ($rounds as $round) {
            $this->hold($planned, $choice, $round, $needs);
        }
    }

    /** @param list<Need> $needs */
    private function hold(PlannedDish $planned, PotChoice $choice, Round $round, array $needs): void
    {
        $run = $choice->run;
        $dish = $planned->dish->id;
        $members = array_map(static fn (StepFlow $f): string => (new StepKey($dish, $round, $f->step->id))->id(), $run->flows);
        $inRun = array_flip(array_map(static fn (StepFlow $f): string => $f->step->id, $run->flows));
        foreach ($planned->dish->recipe->steps as $step) {
            foreach ($step->sources() as $source) {
                if (!isset($inRun[$source]) || isset($inRun[$step->id])) {
                    continue;
                }
                foreach ($this->parts->flows[$dish]->takers($planned->dish->recipe->step($source), $round, $step) as $taker) {
                    $members[] = $this->emptied($dish, $round, $source, (new StepKey($dish, $taker, $step->id))->id());
                }
            }
        }
        $this->parts->holds[$dish.'/'.$round->id().'/'.$run->id] = new Hold(
            $dish.'/'.$round->id().'/'.$run->id,
            array_values(array_unique($members)),
            $needs,
        );
    }

    /** A marker of no length at the start of the step that takes the contents over. */
    private function emptied(string $dish, Round $round, string $source, string $taker): string
    {
        $id = $dish.'/'.$round->id().'/'.$source.'>'.$taker;
        if (!isset($this->parts->activities[$id])) {
            $this->parts->activities[$id] = new Activity($id, DurationRange::exactly(0), [], 0, $this->axis->horizonEnd, null);
            $this->parts->links[] = new Link($taker, $id, 0, 0, LinkType::StartToStart);
        }

        return $id;
    }
}
