<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

use FeastLadle\Amounts\Making;
use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Amounts\Round;
use FeastLadle\Flow\HeatedWet;
use FeastLadle\Keeping\TwoClocks;
use FeastLadle\Recipe\Step;
use FeastLadle\Schedule\DurationRange;
use FeastLadle\Schedule\Link;
use FeastLadle\Schedule\LinkType;

/** What takes from what, keeping times and ties, as links between activities. */
final readonly class StepLinks
{
    /** What takes the loads up stands ready within so many minutes of the first. */
    private const STRAIGHT_ON = 5;

    /** What can't be done within its window begins within so many minutes. */
    private const AT_ONCE = 5;

    public function __construct(private StepNeeds $stepNeeds, private ModelParts $parts, private Making $making = new Making())
    {
    }

    /** @param array<string, DurationRange> $ranges by step */
    public function add(PlannedDish $planned, Step $step, Round $round, array $ranges, HeatedWet $heated): void
    {
        $recipe = $planned->dish->recipe;
        $here = (new StepKey($planned->dish->id, $round, $step->id))->id();
        $gaps = [];
        $straightOn = [];
        foreach ($step->takes as $take) {
            if (null !== $take->fromStep && $take->manner->straightOn) {
                $straightOn[$take->fromStep] = true;
            } elseif (null !== $take->fromStep) {
                $gaps[$take->fromStep] = [0, self::shorter(
                    $gaps[$take->fromStep][1] ?? null,
                    $recipe->step($take->fromStep)->gives->keepingOf($take->output)?->minutes,
                )];
            }
        }
        foreach ($step->ties as $tie) {
            $former = $gaps[$tie->after] ?? [0, null];
            $gaps[$tie->after] = [
                max($former[0], $tie->minMinutes),
                null === $tie->maxMinutes ? $former[1] : min($former[1] ?? \PHP_INT_MAX, $tie->maxMinutes),
            ];
        }
        foreach (array_keys($straightOn) as $former) {
            unset($gaps[$former]);
            $this->straightOn($planned, $recipe->step($former), $step, $round, $ranges);
        }
        foreach ($step->bases() as $slug) {
            $this->fromBase($planned, $slug, $here);
        }
        foreach ($gaps as $former => [$min, $max]) {
            $source = $recipe->step($former);
            if (null === $max && $heated->clockRuns($former)) {
                // Nobody said how long it may stand: not so long that its clock warns.
                $max = max($min, (int) TwoClocks::WARN_MINUTES);
            }
            foreach ($this->parts->flows[$planned->dish->id]->sources($source, $step, $round) as $from) {
                $there = (new StepKey($planned->dish->id, $from, $former))->id();
                null !== $max && $step->isPieceByPiece()
                    ? $this->toTheLastPiece($planned, $there, $here, $min, $max)
                    : $this->toItsBeginning($planned, $there, $here, $min, $max);
            }
        }
    }

    private function toItsBeginning(PlannedDish $planned, string $there, string $here, int $min, ?int $max): void
    {
        $wider = $this->making->window($planned->dish->id, $max);
        $this->parts->links[] = new Link($there, $here, $min, null === $wider ? null : max($min, $wider));
        if ($wider !== $max && null !== $max) {
            $this->parts->windows[] = new Window($there, $here, $max, false);
        }
    }

    /** The last piece lies within the window; where so many hands take longer than that, they begin at once, and it is said. */
    private function toTheLastPiece(PlannedDish $planned, string $there, string $here, int $min, int $max): void
    {
        $lasts = $this->parts->activities[$here]->duration->likely;
        $wider = $this->making->window($planned->dish->id, $max);
        $most = match (true) {
            null === $wider => null,
            $min + $lasts <= $wider => $wider,
            default => $min + $lasts + self::AT_ONCE,
        };
        $this->parts->links[] = new Link($there, $here, $min, null);
        if (null !== $most) {
            $this->parts->links[] = new Link($there, $here, $min, $most, LinkType::EndToEnd);
        }
        if (null === $most || $most > $max) {
            $this->parts->windows[] = new Window($there, $here, $max, true);
        }
    }

    private static function shorter(?int $one, ?int $other): ?int
    {
        return null === $one || null === $other ? $one ?? $other : min($one, $other);
    }

    /**
     * Each load goes on as it comes out: the taker begins with the first load, and ends after the last has had its time.
     *
     * @param array<string, DurationRange> $ranges
     */
    private function straightOn(PlannedDish $planned, Step $source, Step $taker, Round $round, array $ranges): void
    {
        $first = $this->stepNeeds->firstLoad($planned, $source->id, $planned->batchPlan->potOfStep(), $ranges);
        $own = $this->stepNeeds->oneLoad($taker, $ranges[$taker->id]);
        $here = (new StepKey($planned->dish->id, $round, $taker->id))->id();
        foreach ($this->parts->flows[$planned->dish->id]->sources($source, $taker, $round) as $from) {
            $there = (new StepKey($planned->dish->id, $from, $source->id))->id();
            $this->parts->links[] = new Link($there, $here, $first, $first + self::STRAIGHT_ON, LinkType::StartToStart);
            $this->parts->links[] = new Link($there, $here, $own, null, LinkType::EndToEnd);
        }
    }

    /** A step that takes from a base comes after the base is made, and no later than it keeps. */
    private function fromBase(PlannedDish $planned, string $slug, string $here): void
    {
        $base = $this->parts->built['base-'.$slug] ?? null;
        if (null === $base || $planned->dish->recipe->buys($slug)) {
            return;
        }
        foreach ($this->parts->flows[$base->dish->id]->rounds($base->dish->recipe->last()) as $from) {
            $this->parts->links[] = new Link(
                (new StepKey($base->dish->id, $from, $base->dish->recipe->lastStep))->id(),
                $here,
                0,
                $base->dish->recipe->keepMinutes,
            );
        }
    }
}
