<?php

declare(strict_types=1);

namespace FeastLadle\Flow;

use FeastLadle\Heat\BoilOff;
use FeastLadle\Heat\HeatCap;
use FeastLadle\Heat\OpenPot;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Step;
use FeastLadle\Recipe\Take;
use FeastLadle\Vessel\FillLimit;

/** What passes through a step in one batch (or in the one go, for a step done once). */
final readonly class StepFlow
{
    /** From this share of starch on a boiling liquid catches like thin pudding. */
    private const STARCHY = 0.03;

    /**
     * @param Contents                $taken        all that enters, before anything leaves
     * @param Contents                $gives        what is there at the end
     * @param float                   $waterOff     grams of water that leave in the step
     * @param float                   $fatDrunk     grams of frying fat that the pieces take up
     * @param float                   $fullestMl    the most that stands in the vessel, hot; frying fat not counted
     * @param list<Bowl>              $bowls        ingredients in the order they enter; frying fat not counted
     * @param array<string, Contents> $outputs      by id, when it gives several things; waste included
     * @param array<string, float>    $bases        grams taken of other recipes, by slug
     * @param float                   $waste        grams cut, strained or poured away
     * @param bool                    $softens      grain or pulse becomes soft in it
     * @param bool                    $isSoft       and is soft after it
     * @param list<string>            $soaked       ingredients that lie, or lay before, in water
     * @param float|null              $pieceWidthMm how wide a piece lies, as it or a step before shaped it
     * @param Really|null             $really       what happened in it beside what its recipe says
     */
    public function __construct(
        public Step $step,
        public Contents $taken,
        public Contents $gives,
        public float $waterOff,
        public float $fatDrunk,
        public float $fullestMl,
        public array $bowls,
        public array $outputs = [],
        public array $bases = [],
        public float $waste = 0.0,
        public float $peakCelsius = 20.0,
        public bool $softens = false,
        public bool $isSoft = false,
        public ?float $pieceWidthMm = null,
        public array $soaked = [],
        public ?Really $really = null,
    ) {
    }

    /** What is measured out for a take; the same thing twice is told apart by how much the recipe wants. */
    public function bowlOf(Take $take): ?Bowl
    {
        $found = null;
        foreach ($this->bowls as $bowl) {
            if ($bowl->ingredient === $take->ingredient && (null === $found || abs($bowl->baseGrams - $take->grams) < 1e-6)) {
                $found = $bowl;
            }
        }

        return $found;
    }

    /** °C that a warming ends at: the target, the boil of this place, or what the food stands. */
    public function warmsTo(float $boilingCelsius): float
    {
        return min($this->step->work->target->value, $boilingCelsius, max($this->gives->celsius, $this->taken->celsius));
    }

    /** The most heat that it stands at the bottom: by what is done, and for boiling by what really is in the pot. */
    public function heatCap(Larder $larder): HeatCap
    {
        $cap = $this->step->process->facts()->cap;
        if (HeatCap::Milk !== $cap && HeatCap::ThinPudding !== $cap) {
            return $cap;
        }
        $starchy = $this->taken->starchShare($larder) > self::STARCHY;
        if (!$this->taken->isMilky($larder)) {
            return $starchy ? HeatCap::ThinPudding : HeatCap::Water;
        }
        $milk = HeatCap::ofMilk($this->meanSolids($larder));

        return $starchy && $milk->kwPerM2() > HeatCap::ThinPudding->kwPerM2() ? HeatCap::ThinPudding : $milk;
    }

    /** How full its vessel may be: by what is done, under pressure by what froths. */
    public function fill(): FillLimit
    {
        return Process::Pressure === $this->step->process && $this->softens
            ? FillLimit::FrothingPressure
            : $this->step->process->facts()->fill;
    }

    /** Share of solids in the middle of the step. */
    private function meanSolids(Larder $larder): float
    {
        return ($this->taken->solidsShare($larder) + $this->gives->solidsShare($larder)) / 2;
    }

    /** How freely its surface gives off steam while it is reduced, by OpenPot: thick, it is cooler there than at its heart. */
    public function openness(Larder $larder): float
    {
        return Process::StirToBall === $this->step->process || $this->meanSolids($larder) >= HeatCap::THICK_FROM
            ? OpenPot::UNDER_SKIN
            : OpenPot::UNCOVERED;
    }

    /** Heat in kJ that it takes: what entered colder is brought to the step's own temperature, and what leaves goes as steam. */
    public function heatKj(Larder $larder): float
    {
        return $this->warmingKj($larder) + ($this->waterOff / 1000) * BoilOff::KJ_PER_KG;
    }

    public function warmingKj(Larder $larder): float
    {
        return $this->taken->heatCapacityKj($larder) * max(0.0, $this->peakCelsius - $this->taken->celsius);
    }

    /** What a later step finds here: all of it, or one output. */
    public function given(?string $output): Contents
    {
        return null === $output ? $this->gives : ($this->outputs[$output] ?? Contents::nothing());
    }
}
