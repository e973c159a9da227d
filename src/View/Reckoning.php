<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Flow\StepFlow;
use FeastLadle\Larder\Larder;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Syrup\SugarRise;
use FeastLadle\Vessel\FillLimits;
use FeastLadle\Words\Sentence;

/** How the numbers of a step come about, in lines that a cook can follow. */
final readonly class Reckoning
{
    public function __construct(private Larder $larder)
    {
    }

    /** @return list<Sentence> */
    public function of(StepFlow $flow, float $factor, FillLimits $limits = new FillLimits()): array
    {
        return [...$this->bowls($flow, $factor), ...$this->inTheVessel($flow, $limits)];
    }

    /** @return list<Sentence> what is left of what goes in, how full it gets, and how far it is cooked */
    public function inTheVessel(StepFlow $flow, FillLimits $limits): array
    {
        return [...$this->mass($flow, $limits), ...$this->target($flow)];
    }

    /** @return list<Sentence> */
    private function bowls(StepFlow $flow, float $factor): array
    {
        $lines = [];
        foreach ($flow->step->takes as $take) {
            if (null === $take->ingredient || null !== $take->fatDepthMm) {
                continue;
            }
            $name = $this->larder->get($take->ingredient)->name;
            $values = [
                'name' => $name,
                'written' => AmountWriter::weight($take->grams),
                'factor' => (string) round($factor, 3),
                'exponent' => (string) $take->exponent,
                'grams' => AmountWriter::weight($take->grown($factor)),
                'steam' => AmountWriter::weight($take->boilsOff),
            ];
            $lines[] = new Sentence(
                $take->boilsOff > 0
                    ? '{name}: {written} as written, less {steam} that boils off whatever the amount, × {factor}, and the {steam} '.
                        'again = {grams}'
                    : (1.0 === $take->exponent
                        ? '{name}: {written} as written × {factor} = {grams}'
                        : '{name}: {written} as written × {factor} to the power {exponent} = {grams}, as strong spice grows slower'),
                $values,
            );
            if ($take->reserve > 0) {
                $lines[] = new Sentence('{name} in reserve: {reserve}; half of it is counted as used', [
                    'name' => $name,
                    'reserve' => AmountWriter::weight($take->reserve * $factor ** $take->exponent),
                ]);
            }
        }
        foreach ($flow->bases as $slug => $grams) {
            $lines[] = new Sentence('From the base {base}: {grams}', ['base' => $slug, 'grams' => AmountWriter::weight($grams)]);
        }

        return $lines;
    }

    /** @return list<Sentence> */
    private function mass(StepFlow $flow, FillLimits $limits): array
    {
        $lines = [];
        if ($flow->waterOff > 0.5 || $flow->waste > 0.5 || $flow->fatDrunk > 0.5) {
            $lines[] = new Sentence('Goes in {in}, gives {out}', [
                'in' => AmountWriter::weight($flow->taken->massGrams()),
                'out' => AmountWriter::weight($flow->gives->massGrams()),
            ]);
        }
        if ($flow->waterOff > 0.5) {
            $lines[] = new Sentence('{steam} of it leave as steam', ['steam' => AmountWriter::weight($flow->waterOff)]);
        }
        if ($flow->waste > 0.5) {
            $lines[] = new Sentence('{waste} are thrown or poured away', ['waste' => AmountWriter::weight($flow->waste)]);
        }
        if ($flow->fatDrunk > 0.5) {
            $lines[] = new Sentence('{fat} of frying fat come with it', ['fat' => AmountWriter::weight($flow->fatDrunk)]);
        }
        if (null !== $flow->step->vessel && $flow->fullestMl > 50) {
            $lines[] = new Sentence('Fullest at {litres}, at {celsius} °C; the vessel may be filled to {percent} %: {reason}', [
                'litres' => AmountWriter::volume($flow->fullestMl),
                'celsius' => (string) round($flow->peakCelsius),
                'percent' => (string) round(100 * $limits->share($flow->fill())),
                'reason' => $flow->fill()->reason(),
            ]);
        }

        return $lines;
    }

    /** @return list<Sentence> */
    private function target(StepFlow $flow): array
    {
        $stage = $flow->step->work->target->stage;
        $share = $flow->step->work->target->volumeShare();
        $lines = [];
        if (null !== $stage) {
            $sugar = $flow->taken->syrupSolidsGrams($this->larder);
            $left = SugarRise::waterLeftGrams($sugar, $stage->aimRise() / $flow->taken->riseFactor($this->larder));
            $lines[] = new Sentence(
                'The stage boils {rise} K above water; with {sugar} of sugar that leaves {left} of water, so {off} boil off',
                [
                    'rise' => (string) round($stage->aimRise(), 1),
                    'sugar' => AmountWriter::weight($sugar),
                    'left' => AmountWriter::weight($left),
                    'off' => AmountWriter::weight($flow->waterOff),
                ],
            );
        }
        if (null !== $share) {
            $lines[] = new Sentence('{from} fall to {percent} %: {to}, measured cold; {off} of water leave', [
                'from' => AmountWriter::volume($flow->taken->volumeMl($this->larder)),
                'percent' => (string) round(100 * $share),
                'to' => AmountWriter::volume($flow->taken->volumeMl($this->larder) * $share),
                'off' => AmountWriter::weight($flow->waterOff),
            ]);
        }

        return $lines;
    }
}
