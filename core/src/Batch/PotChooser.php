<?php

declare(strict_types=1);

namespace FeastLadle\Batch;

use FeastLadle\Flow\Ledger;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Flow\VesselRun;
use FeastLadle\Heat\Flame;
use FeastLadle\Heat\OpenPot;
use FeastLadle\Heat\Reducing;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Growth;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Vessel\Vessel;

/** Finds the fewest equal batches in which every run of a dish fits a vessel of the kitchen, and picks the vessels. */
final readonly class PotChooser
{
    public const MOST_BATCHES = 60;

    /** Share of what goes in that leaves as steam, from which a wide pan is looked for; kitchen estimate. */
    private const MUCH_STEAM = 0.05;

    /** What stands too low catches. A price, never a refusal: half as deep weighs as an eighth of the base. */
    private const SHALLOW_POWER = 3;
    private const LEAST_SHARE = 0.05;

    /** Less full than this even a wide pan is too great for what it holds: half as full weighs as a third of the base. */
    private const LEAST_FULL = 0.15;
    private const EMPTY_POWER = 1.5;

    /** A panful of fat as heavy as what is fried in it weighs as so many minutes at the pan; kitchen estimate. */
    private const FAT_MINUTES = 5.0;

    /** A pot that another dish already uses is taken only if it is so much the better. */
    private const USED_PENALTY = 1.6;

    /** A pot so wide that its surface loses all that the fires give is the last to be taken. */
    private const TOO_WIDE_PENALTY = 1e6;

    public function __construct(private Kitchen $kitchen, private Larder $larder)
    {
    }

    /**
     * @param \Closure(int): float  $factorFor how many times the recipe, for a number of batches (pieces round up for each batch)
     * @param array<string, string> $wishes    run id → vessel id, as the cook chose
     * @param array<string, int>    $inUse     vessel id → how many runs of other dishes use it
     * @param int                   $least     batches there must be, where not all is wanted at once
     * @param array<string, float>  $steam     how many times the recipe's own boil-away goes off here, by step id
     */
    public function plan(
        Recipe $recipe,
        \Closure $factorFor,
        array $wishes = [],
        array $inUse = [],
        int $least = 1,
        array $steam = [],
    ): BatchPlan {
        $least = min(self::MOST_BATCHES, max(1, $least));
        // Doubling would overshoot; but past twenty batches nobody counts single ones.
        $last = null;
        for ($batches = $least; $batches <= self::MOST_BATCHES; $batches += $batches < 20 ? 1 : 5) {
            $ledger = Ledger::follow($recipe, $this->larder, $factorFor($batches), $batches, $this->kitchen->climate, $steam);
            $plan = $this->choose($recipe, $ledger, $batches, $wishes, $inUse);
            if ([] === $plan->missing) {
                return $plan;
            }
            $last ??= $plan;
            // A run done once does not shrink with more batches: no use in going on.
            foreach ($plan->missing as $missing) {
                if ($missing->run->isOnce()) {
                    return $plan;
                }
            }
        }

        return $last;
    }

    /**
     * @param array<string, string> $wishes
     * @param array<string, int>    $inUse
     */
    private function choose(Recipe $recipe, Ledger $ledger, int $batches, array $wishes, array $inUse): BatchPlan
    {
        $runs = $ledger->runs($this->kitchen->rules->fillLimits);
        $neighbours = MeetingRuns::of($recipe, $runs);
        $order = $runs;
        // Wishes first, then the hungriest run, so that the big pots go where they are needed.
        usort(
            $order,
            static fn (VesselRun $a, VesselRun $b): int => [isset($wishes[$b->id]) ? 1 : 0, $b->needBrimMl] <=> [
                isset($wishes[$a->id]) ? 1 : 0,
                $a->needBrimMl,
            ],
        );
        $chosen = [];
        $missing = [];
        foreach ($order as $run) {
            $taken = [];
            foreach ($neighbours[$run->id] as $other => $_) {
                foreach (($chosen[$other] ?? null)->vessels ?? [] as $vessel) {
                    $taken[$vessel->id] = true;
                }
            }
            $choice = $this->vesselFor($run, $wishes[$run->id] ?? null, $taken, $inUse);
            if ($choice instanceof NoPot) {
                $missing[] = $choice;
                continue;
            }
            $chosen[$run->id] = $choice;
        }
        $inOrder = [];
        foreach ($runs as $run) {
            if (isset($chosen[$run->id])) {
                $inOrder[$run->id] = $chosen[$run->id];
            }
        }

        return new BatchPlan($batches, $ledger, $inOrder, $missing);
    }

    /**
     * @param array<string, true> $taken
     * @param array<string, int>  $inUse
     */
    private function vesselFor(VesselRun $run, ?string $wish, array $taken, array $inUse): PotChoice|NoPot
    {
        $best = null;
        $bestScore = \INF;
        $largest = 0.0;
        if ($run->isTooMuch()) {
            return new NoPot($run, $run->needBrimMl, 0.0);
        }
        foreach ($this->kitchen->vessels as $vessel) {
            if (null !== $wish ? $vessel->id !== $wish : $vessel->kind !== $run->kind || isset($taken[$vessel->id])) {
                continue;
            }
            $largest = max($largest, $vessel->shape->brimfulMl());
            $choice = $this->tryOne($run, $vessel, null !== $wish);
            if (null === $choice) {
                continue;
            }
            $score =
                $this->score($choice) *
                self::USED_PENALTY ** ($inUse[$vessel->id] ?? 0) *
                ($this->getsHot($choice) ? 1 : self::TOO_WIDE_PENALTY);
            if ($score < $bestScore) {
                $best = $choice;
                $bestScore = $score;
            }
        }
        if (null === $best && !$run->isHeated() && null === $wish) {
            $best = $this->trySeveral($run, $taken);
        }

        return $best ?? new NoPot($run, $run->needBrimMl, $largest);
    }

    private function tryOne(VesselRun $run, Vessel $vessel, bool $wished): ?PotChoice
    {
        $frying = $layer = null;
        $fullest = $run->fullest->fullestMl;
        $step = $run->frying();
        if (null !== $step) {
            $depth = 0.0;
            foreach ($step->takes as $take) {
                $depth = $take->fatDepthMm ?? $depth;
            }
            $flow = $run->flows[0];
            foreach ($run->flows as $candidate) {
                $flow = $candidate->step->id === $step->id ? $candidate : $flow;
            }
            $piece = $step->gives->pieces;
            $frying =
                null === $piece
                    ? null
                    : FryingLoad::in($vessel->shape, $flow, $piece, $depth, $this->larder, $this->kitchen->rules->fillLimits);
            if (null === $frying) {
                return null;
            }
            $fullest = $frying->fullestMl;
        } elseif (null !== ($layer = LayerLoad::in($vessel, $laid = self::laid($run)))) {
            if ($layer->isTooWide()) {
                return null;
            }
            $fullest = $laid->taken->volumeMl($this->larder) / $layer->loads;
        } elseif ($run->needBrimMl > $vessel->shape->brimfulMl() + 1e-6) {
            return null;
        }
        $reason = match (true) {
            $wished => PotReason::YourWish,
            null !== $frying, null !== $layer => PotReason::MostAtOnce,
            $this->boilsOff($run) => PotReason::Widest,
            default => PotReason::Smallest,
        };

        return new PotChoice($run, [$vessel], $fullest, $frying, $reason, $wished);
    }

    /** @param array<string, true> $taken */
    private function trySeveral(VesselRun $run, array $taken): ?PotChoice
    {
        $vessels = array_values(
            array_filter($this->kitchen->vessels, static fn (Vessel $v): bool => $v->kind === $run->kind && !isset($taken[$v->id])),
        );
        usort($vessels, static fn (Vessel $a, Vessel $b): int => $b->shape->brimfulMl() <=> $a->shape->brimfulMl());
        foreach ($vessels as $i => $smallest) {
            // Filled alike, the smallest of them decides.
            $count = $i + 1;
            if ($run->needBrimMl / $count <= $smallest->shape->brimfulMl()) {
                $used = \array_slice($vessels, 0, $count);

                // The smallest stands first: it is the fullest one, and the one that is drawn.
                return new PotChoice($run, array_reverse($used), $run->fullest->fullestMl / $count, null, PotReason::Several, false);
            }
        }

        return null;
    }

    /** Lower is better. */
    private function score(PotChoice $choice): float
    {
        $shape = $choice->vessel()->shape;

        return match ($choice->reason) {
            PotReason::MostAtOnce => $this->loadMinutes($choice) + $this->fatPrice($choice) + $shape->brimfulMl() / 1e6,
            PotReason::Widest => ($this->shallow($choice) * self::emptiness($choice))
                / max(1e-6, $shape->heatedBaseM2($shape->heightMm(), 100.0, true)),
            default => $shape->brimfulMl() * $this->shallow($choice),
        };
    }

    private static function emptiness(PotChoice $choice): float
    {
        return max(1.0, self::LEAST_FULL / max(1e-3, $choice->fullShare())) ** self::EMPTY_POWER;
    }

    private function loadMinutes(PotChoice $choice): float
    {
        $flow = self::laid($choice->run);
        $step = $choice->run->frying() ?? $flow->step;
        $loads = $choice->frying->loads ?? $choice->layer($flow)->loads ?? 1;

        return $loads * max(1.0, $step->work->time->likelyMinutes + $step->betweenLoads());
    }

    /** The step of a run whose pieces lie side by side, else the first. */
    private static function laid(VesselRun $run): StepFlow
    {
        foreach ($run->flows as $flow) {
            if (LayerLoad::isLaid($flow)) {
                return $flow;
            }
        }

        return $run->flows[0];
    }

    /** A great pan of fat for a handful of batter is dear, for a hundredweight it is nothing. */
    private function fatPrice(PotChoice $choice): float
    {
        if (null === $choice->frying) {
            return 0.0;
        }
        $fried = 0.0;
        foreach ($choice->run->flows as $flow) {
            $fried = $flow->step->id === $choice->run->frying()?->id ? $flow->taken->massGrams() : $fried;
        }

        return (self::FAT_MINUTES * $choice->frying->fatGrams) / max(1.0, $fried);
    }

    /** What stands too low over a flame catches: from the least depth down, at its lowest moment, the price of a wide pan. */
    private function shallow(PotChoice $choice): float
    {
        return (1 / max(self::LEAST_SHARE, $choice->depthShare($this->larder))) ** self::SHALLOW_POWER;
    }

    /** Whether some fire of the kitchen, on high, gets it hot: to the boil, or in a reduction hot enough to reduce at all. */
    private function getsHot(PotChoice $choice): bool
    {
        foreach ($choice->run->flows as $flow) {
            $target = match ($flow->step->work->time->growth) {
                Growth::BoilOff => Reducing::LEAST_CELSIUS,
                Growth::WarmUp => $flow->warmsTo($this->kitchen->climate->boilingCelsius()),
                Growth::Fixed, Growth::Mass, Growth::Load => \in_array($flow->step->process, [Process::Boil, Process::Simmer], true)
                    ? min($flow->peakCelsius, Reducing::LEAST_CELSIUS)
                    : null,
                default => null,
            };
            if (null === $target) {
                continue;
            }
            $best = 0.0;
            foreach ($this->kitchen->burners as $burner) {
                $best = max($best, $choice->netKw($flow, $burner, Flame::High, $this->larder));
            }
            $openness = match (true) {
                Growth::BoilOff === $flow->step->work->time->growth => $flow->openness($this->larder),
                // What only has to get hot may do so under a lid.
                $flow->heatCap($this->larder)->maybeCovered() => OpenPot::LID_ON,
                Growth::WarmUp === $flow->step->work->time->growth => OpenPot::UNCOVERED,
                default => $flow->openness($this->larder),
            };
            $loss = $this->kitchen->climate->openPot()->lossKwPerM2($target, $openness);
            if ($best <= $loss * $choice->surfaceM2($flow, $this->larder)) {
                return false;
            }
        }

        return true;
    }

    /** Whether so much of it leaves as steam that a wide pan saves time. */
    private function boilsOff(VesselRun $run): bool
    {
        foreach ($run->flows as $flow) {
            if (
                Growth::BoilOff === $flow->step->work->time->growth
                || (Flame::None !== $flow->step->work->flame && $flow->waterOff > self::MUCH_STEAM * $flow->taken->massGrams())
            ) {
                return true;
            }
        }

        return false;
    }
}
