<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

use FeastLadle\Amounts\Making;
use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Batch\PotChoice;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Heat\Burner;
use FeastLadle\Heat\Flame;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Growth;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Step;
use FeastLadle\Schedule\Need;
use FeastLadle\Timing\Minutes;
use FeastLadle\Timing\StepTimer;

/** Which vessels of the kitchen serve for a run of steps as well as the one chosen. */
final readonly class VesselNeeds
{
    /** Another pot serves as well when a step takes at most this much longer in it. */
    private const AS_GOOD_AS = 1.25;

    /** The same where batches go side by side in pots that are slower. */
    private const SLOWER = 2.0;

    /** @var list<Burner> one of each kind: those that are alike take alike */
    private array $burners;

    public function __construct(
        private Kitchen $kitchen,
        private Larder $larder,
        private StepTimer $timer,
        private Making $making = new Making(),
    ) {
        $this->burners = array_column($kitchen->alikeBurners(), 0);
    }

    /** @return list<Need> */
    public function of(PlannedDish $planned, PotChoice $choice): array
    {
        if (\count($choice->vessels) > 1) {
            // The smallest of them holds its part; any that holds as much serves as well.
            $least = $choice->vessel()->shape->brimfulMl();
            $options = array_map(static fn ($v): string => $v->id, $choice->vessels);
            foreach ($this->kitchen->vessels as $vessel) {
                if (
                    $vessel->kind === $choice->run->kind
                    && $vessel->shape->brimfulMl() >= $least
                    && !\in_array($vessel->id, $options, true)
                ) {
                    $options[] = $vessel->id;
                }
            }

            return [new Need($options, \count($choice->vessels))];
        }

        return [new Need($this->options($planned, $choice))];
    }

    /** @return non-empty-list<string> ids of vessels, the chosen one first */
    public function options(PlannedDish $planned, PotChoice $choice): array
    {
        $first = $choice->vessel()->id;
        $others = [];
        if (1 === \count($choice->vessels) && !$choice->ownWish && null === $choice->frying) {
            foreach ($this->kitchen->alikeVessels() as $vessels) {
                $one = $vessels[0];
                if (
                    $one->kind === $choice->run->kind
                    && $choice->run->needBrimMl <= $one->shape->brimfulMl()
                    && ($choice->vessel()->isLike($one) || $this->isAsGood($planned, $choice, $this->in($choice, $one->id)))
                ) {
                    $others = [...$others, ...array_column($vessels, 'id')];
                }
            }
        }

        return [$first, ...array_values(array_diff(array_intersect(array_keys($this->kitchen->vessels), $others), [$first]))];
    }

    /** Minutes of a step in its pot; where slower ones may be taken beside it, in the slowest: which it will be is not known yet. */
    public function minutes(PlannedDish $planned, StepFlow $flow, ?PotChoice $choice, ?Burner $burner): ?Minutes
    {
        $scale = $planned->scaleOf($flow->step);
        $minutes = $this->timer->minutes($flow, $choice, $scale, $burner);
        if (null === $minutes || null === $choice || !isset($this->making->pots[$planned->dish->id])) {
            return $minutes;
        }
        foreach (\array_slice($this->options($planned, $choice), 1) as $other) {
            $there = $this->timer->minutes($flow, $this->in($choice, $other), $scale, $burner);
            $minutes = null !== $there && $there->likely > $minutes->likely ? $there : $minutes;
        }

        return $minutes;
    }

    private function in(PotChoice $choice, string $vessel): PotChoice
    {
        return new PotChoice($choice->run, [$this->kitchen->vessels[$vessel]], $choice->fullestMl, null, $choice->reason, false);
    }

    /** Whether every timed step of the run takes about as long in another vessel. */
    private function isAsGood(PlannedDish $planned, PotChoice $choice, PotChoice $other): bool
    {
        if (
            !isset($this->making->pots[$planned->dish->id])
            && $other->depthShare($this->larder) < $choice->depthShare($this->larder)
        ) {
            return false;
        }
        $most = isset($this->making->pots[$planned->dish->id]) ? self::SLOWER : self::AS_GOOD_AS;
        foreach ($choice->run->flows as $flow) {
            $growth = $flow->step->work->time->growth;
            if (!$growth->facts()->isLaw && Growth::Load !== $growth && Process::Pressure !== $flow->step->process) {
                continue;
            }
            foreach (Flame::None === $flow->step->work->flame ? [null] : $this->burners as $burner) {
                $own = $this->timer->minutes($flow, $choice, $planned->scaleOf($flow->step), $burner);
                $there = $this->timer->minutes($flow, $other, $planned->scaleOf($flow->step), $burner);
                if (null !== $own && (null === $there || $there->likely > $most * $own->likely + 1)) {
                    return false;
                }
            }
        }

        return true;
    }
}
