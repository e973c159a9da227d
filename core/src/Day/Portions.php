<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Amounts\BatchFlow;
use FeastLadle\Amounts\DemandCurve;
use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Day\Happening\DishChanged;
use FeastLadle\Day\Happening\Eaten;
use FeastLadle\Feast\Moment;
use FeastLadle\Portion\Group;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;

/** What of each dish there is for each who comes: by what really is in the pots, who is counted now, and how trays empty. */
final readonly class Portions
{
    public function __construct(private Plan $plan, private Wishes $wishes, private ReallyIn $really, private StepStates $states)
    {
    }

    /**
     * @param list<Event> $events in order
     *
     * @return array<string, PortionNow> by dish
     */
    public function now(array $events): array
    {
        $portions = [];
        foreach ($this->plan->quantities->dishes as $id => $planned) {
            if (!$planned->dish->isBase) {
                $portions[(string) $id] = $this->portion($planned, $events);
            }
        }

        return $portions;
    }

    /** @param list<Event> $events */
    private function portion(PlannedDish $planned, array $events): PortionNow
    {
        $demand = $planned->demand;
        $eaters = $demand->uptake * array_sum(array_map(static fn (Group $g): float => $g->count * $g->appetite, $this->wishes->groups));
        $made = $this->made($planned);
        $wished = $demand->portion->amount;
        foreach ($events as $event) {
            if ($event->what instanceof DishChanged && $event->what->dish === $planned->dish->id) {
                $wished = $event->what->portion ?? $wished;
            }
        }

        return new PortionNow(
            $planned->dish->id,
            $demand->portion->countsPieces,
            $wished,
            max(0.0, $made - $demand->forOffering - $demand->forBoxes) / max(1e-9, $eaters),
            $this->ladle($planned, $made, $events),
            $made,
            $this->isReady($planned),
        );
    }

    private function isReady(PlannedDish $planned): bool
    {
        foreach ($this->plan->steps as $step) {
            $isLast = $step->key->dish === $planned->dish->id && $step->step->id === $planned->dish->recipe->lastStep;
            if ($isLast && StepState::Done !== $this->states->steps[$step->key->id()]->state) {
                return false;
            }
        }

        return true;
    }

    /** What all its batches come to, in grams or whole pieces. */
    private function made(PlannedDish $planned): float
    {
        $flow = BatchFlow::of($this->wishes->feast, $planned);
        $sum = 0.0;
        foreach ($this->plan->steps as $step) {
            if ($step->key->dish !== $planned->dish->id || $step->step->id !== $planned->dish->recipe->lastStep) {
                continue;
            }
            $gives = $this->really->at($step)->dish->batchPlan->ledger->flow($step->step->id)->gives;
            $sum += $flow->share($step->key->round) * ($planned->demand->portion->countsPieces ? $gives->pieces : $gives->massGrams());
        }

        return $planned->demand->portion->countsPieces ? floor($sum + 1e-6) : $sum;
    }

    /** @param list<Event> $events */
    private function ladle(PlannedDish $planned, float $made, array $events): ?LastLadle
    {
        $last = null;
        $refills = 0;
        foreach ($events as $event) {
            if ($event->what instanceof Eaten && $event->what->dish === $planned->dish->id) {
                $isSame = $last?->what instanceof Eaten && $last->what->moment === $event->what->moment;
                $refills = ($isSame ? $refills : 0) + (int) $event->what->refilled;
                $last = null === $event->what->served || null === $event->what->share ? $last : $event;
            }
        }
        if (!$last?->what instanceof Eaten || null === $last->what->served || null === $last->what->share || $last->what->served < 1) {
            return null;
        }
        $moment = null;
        foreach ($this->wishes->feast->moments as $each) {
            $moment = $each->id === $last->what->moment ? $each : $moment;
        }
        if (!$moment instanceof Moment) {
            return null;
        }
        $out = $this->putOut($planned, $made, $moment);
        // Trays are taken to be alike: of the first ones all is gone.
        $gone = ($out * ($refills + $last->what->share)) / ($refills + 1);

        return LastLadle::of(
            $moment->id,
            $last->what->served,
            max(0, $this->guests($moment) - $last->what->served),
            $gone,
            $out - $gone,
            $last->at,
            max(1.0, ($last->at->getTimestamp() - $moment->at->getTimestamp()) / 60),
            $this->spareMinutes($planned),
        );
    }

    /** What stands out at a moment: what was called for then, as much of it as was really made; bowls of an offering are not eaten from. */
    private function putOut(PlannedDish $planned, float $made, Moment $moment): float
    {
        $here = 0.0;
        foreach (DemandCurve::of($this->wishes->feast, $planned) as $row) {
            $here += $row['of']->id === $moment->id ? $row['now'] : 0.0;
        }
        $others = $planned->demand->total - $here;

        return max(0.0, $made - $others);
    }

    private function guests(Moment $moment): int
    {
        $guests = 0;
        foreach ($this->wishes->groups as $group) {
            $guests += $this->wishes->feast->momentOf($group)->id === $moment->id ? $group->count : 0;
        }

        return $guests;
    }

    /** Minutes that a batch takes of which nothing is begun; null where none stands ready. */
    private function spareMinutes(PlannedDish $planned): ?int
    {
        $spans = $begun = [];
        foreach ($this->plan->steps as $step) {
            $batch = $step->key->round->batch;
            if ($step->key->dish === $planned->dish->id && null !== $batch) {
                $spans[$batch][] = $step;
                $begun[$batch] = ($begun[$batch] ?? false) || StepState::NotYet !== $this->states->steps[$step->key->id()]->state;
            }
        }
        foreach (array_reverse($spans, true) as $batch => $steps) {
            if (!$begun[$batch]) {
                return max(array_map(static fn (PlannedStep $s): int => $s->endMinute, $steps))
                    - min(array_map(static fn (PlannedStep $s): int => $s->startMinute, $steps));
            }
        }

        return null;
    }
}
