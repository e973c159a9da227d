<?php

declare(strict_types=1);

namespace FeastLadle\Checking;

use FeastLadle\Flow\Ledger;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Heat\Flame;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\TargetKind;
use FeastLadle\Syrup\SugarRise;

/** Targets that the contents of the vessel can't reach. */
final readonly class TargetCheck implements Check
{
    /** Not all the water of a mass can be boiled out of it. */
    private const WATER_THAT_LEAVES = 0.98;

    /** With less than this share of water a mass may get hotter than it boils. */
    private const LITTLE_WATER = 0.15;

    public function __construct(private Larder $larder)
    {
    }

    public function check(Recipe $recipe, Ledger $ledger): array
    {
        $findings = [];
        foreach ($ledger->flows as $flow) {
            array_push($findings, ...$this->stage($flow), ...$this->volume($flow), ...$this->celsius($flow));
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function stage(StepFlow $flow): array
    {
        $step = $flow->step;
        if (null === $step->work->target->stage) {
            return [];
        }
        $sugar = $flow->taken->sugarGrams($this->larder);
        if ($sugar <= 0.0) {
            return [
                new Finding(
                    Severity::Error,
                    $step->id,
                    'A syrup stage is wanted, but there is no sugar in the pot.',
                    'Add sugar, or another target.',
                ),
            ];
        }
        $water = $flow->taken->waterGrams($this->larder);
        $left = SugarRise::waterLeftGrams($sugar, $step->work->target->stage->aimRise());
        if ($left > $water) {
            return [
                new Finding(
                    Severity::Error,
                    $step->id,
                    'The syrup is past "{stage}" before it boils: that stage holds {left} g of water, the pot {water} g.',
                    'Add at least {missing} g of water.',
                    [
                        'stage' => $step->work->target->stage->value,
                        'left' => round($left),
                        'water' => round($water),
                        'missing' => ceil($left - $water),
                    ],
                ),
            ];
        }

        return [];
    }

    /** @return list<Finding> */
    private function volume(StepFlow $flow): array
    {
        $share = $flow->step->work->target->volumeShare();
        if (null === $share) {
            return [];
        }
        $water = $flow->taken->waterGrams($this->larder);
        $off = $flow->taken->waterToVolumeShare($share, $this->larder);
        if ($off > self::WATER_THAT_LEAVES * $water) {
            return [
                new Finding(
                    Severity::Error,
                    $flow->step->id,
                    'To fall to {percent} % of its volume, {off} g of water would have to leave; there are {water} g.',
                    'Choose a higher share.',
                    ['percent' => round(100 * $share), 'off' => round($off), 'water' => round($water)],
                ),
            ];
        }

        return [];
    }

    /**
     * While there is water it boils, and no flame makes it hotter than that.
     *
     * @return list<Finding>
     */
    private function celsius(StepFlow $flow): array
    {
        $step = $flow->step;
        $mass = $flow->taken->massGrams();
        if (
            TargetKind::Celsius !== $step->work->target->kind
            || Flame::None === $step->work->flame
            || $step->process->facts()->browns
            || $mass <= 0
        ) {
            return [];
        }
        $water = $flow->taken->waterGrams($this->larder);
        $sugar = $flow->taken->sugarGrams($this->larder);
        if ($water < self::LITTLE_WATER * $mass) {
            return [];
        }
        $boils = 100 + SugarRise::kelvin((100 * $sugar) / max(1e-9, $water + $sugar));
        if ($step->work->target->value > $boils + 1.5) {
            return [
                new Finding(
                    Severity::Error,
                    $step->id,
                    'It is to reach {wanted} °C, but what is in the pot boils at {boils} °C.',
                    'Boil water off first, with a stage as its target, or choose a lower temperature.',
                    ['wanted' => round($step->work->target->value), 'boils' => round($boils)],
                ),
            ];
        }

        return [];
    }
}
