<?php

declare(strict_types=1);

namespace FeastLadle\Flow;

use FeastLadle\Heat\Flame;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\Step;
use FeastLadle\Recipe\TargetKind;
use FeastLadle\Syrup\SugarRise;

/**
 * The ledger of contents: follows a recipe step by step at a given size, and says what enters, leaves and stands in each
 * vessel. A recipe grown by k in n equal batches takes base × (k/n)^e in each; a step done once serves all n.
 */
final readonly class Ledger
{
    /** @param array<string, StepFlow> $flows by step id */
    private function __construct(public array $flows, private string $lastStep, public int $batches)
    {
    }

    /** @param float $factor how many times the recipe as written, over all batches */
    public static function follow(Recipe $recipe, Larder $larder, float $factor, int $batches, float $roomCelsius = 28.0, float $boilingCelsius = 100.0): self
    {
        $flows = [];
        foreach ($recipe->steps as $step) {
            $times = $step->once ? $batches : 1;
            $taken = Contents::nothing();
            $bowls = [];
            foreach ($step->takes as $take) {
                if (null !== $take->fromStep) {
                    $source = $flows[$take->fromStep];
                    $perBatch = $source->step->once === $step->once ? 1.0 : ($step->once ? (float) $batches : 1.0 / $batches);
                    $taken = $taken->plus($source->gives->share($take->share * $perBatch), $larder);
                } elseif (null === $take->fatDepthMm && null !== $take->ingredient) {
                    $grams = $take->grams * ($factor / $batches) ** $take->exponent * $times;
                    $taken = $taken->plus(Contents::of($take->ingredient, $grams, $roomCelsius), $larder);
                    $bowls[] = new Bowl($take->ingredient, $grams, $take->how);
                }
            }
            $flows[$step->id] = self::through($step, $taken, $bowls, $larder, $roomCelsius, $boilingCelsius);
        }

        return new self($flows, $recipe->lastStep, $batches);
    }

    /** @param list<Bowl> $bowls */
    private static function through(Step $step, Contents $taken, array $bowls, Larder $larder, float $room, float $boiling): StepFlow
    {
        $waterOff = max(0.0, min($taken->waterGrams($larder), match ($step->target->kind) {
            TargetKind::VolumeTo => $taken->waterToVolumeShare($step->target->value, $larder),
            TargetKind::WaterOff => $taken->massGrams() * $step->target->value,
            TargetKind::Stage => null === $step->target->stage ? 0.0 : $taken->waterGrams($larder) - SugarRise::waterLeftGrams($taken->sugarGrams($larder), $step->target->stage->aimRise()),
            default => 0.0,
        }));
        $waterOff = max($waterOff, min($taken->waterGrams($larder), $taken->massGrams() * $step->leaving->waterShare));
        $gives = $taken->withWaterOff($waterOff);
        $drunk = 0.0;
        foreach ($step->takes as $take) {
            if (null !== $take->fatDepthMm && null !== $take->ingredient) {
                $drunk = $taken->massGrams() * $step->leaving->fatUptake;
                $gives = $gives->plus(Contents::of($take->ingredient, $drunk, $gives->celsius), $larder)->withPieces($taken->pieces);
            }
        }
        // A fry only says how wide its pieces lie; their number stays.
        if (null !== $step->pieces && Process::DeepFry !== $step->process) {
            $gives = $gives->withPieces($gives->massGrams() / $step->pieces->grams);
        }
        $peak = self::peakCelsius($step, $taken, $boiling);
        $end = match (true) {
            TargetKind::Celsius === $step->target->kind => $step->target->value,
            Flame::None !== $step->flame => $peak,
            \in_array($step->process, [Process::Rest, Process::Set, Process::Soak, Process::Shape, Process::Cut, Process::Score], true) => $room,
            default => $taken->celsius,
        };
        // During a fry only a load at a time is in the pan; the pot chooser adds fat and load.
        $fullest = Process::DeepFry === $step->process ? 0.0 : $taken->hotVolumeMl($larder, max($peak, $taken->celsius));

        return new StepFlow($step, $taken, $gives->withCelsius($end), $waterOff, $drunk, $fullest, $bowls);
    }

    private static function peakCelsius(Step $step, Contents $taken, float $boiling): float
    {
        if (Flame::None === $step->flame) {
            return $taken->celsius;
        }
        if (TargetKind::Celsius === $step->target->kind) {
            return $step->target->value;
        }

        return \in_array($step->process, [Process::Roast, Process::Bloom, Process::FryGarnish], true) ? 140.0 : $boiling;
    }

    public function flow(string $step): StepFlow
    {
        return $this->flows[$step];
    }

    /** Grams of the finished dish over all batches. */
    public function yieldGrams(): float
    {
        return $this->overAllBatches($this->flows[$this->lastStep]->gives->massGrams());
    }

    /** Pieces of the finished dish over all batches, not yet rounded down. */
    public function yieldPieces(): float
    {
        return $this->overAllBatches($this->flows[$this->lastStep]->gives->pieces);
    }

    private function overAllBatches(float $amount): float
    {
        return $amount * ($this->flows[$this->lastStep]->step->once ? 1 : $this->batches);
    }

    /** @return list<VesselRun> in flow order */
    public function runs(): array
    {
        /** @var array<string, non-empty-list<StepFlow>> $chains */
        $chains = [];
        /** @var array<string, string> $chainOf */
        $chainOf = [];
        foreach ($this->flows as $id => $flow) {
            if (null === $flow->step->vessel) {
                continue;
            }
            $first = null === $flow->step->vessel->continues ? $id : $chainOf[$flow->step->vessel->continues];
            $chainOf[$id] = $first;
            $chains[$first][] = $flow;
        }

        return array_values(array_map(VesselRun::of(...), $chains));
    }
}
