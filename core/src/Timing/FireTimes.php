<?php

declare(strict_types=1);

namespace FeastLadle\Timing;

use FeastLadle\Batch\PotChoice;
use FeastLadle\Batch\SteamWater;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Heat\BoilOff;
use FeastLadle\Heat\Flame;
use FeastLadle\Heat\Frying;
use FeastLadle\Heat\OpenPot;
use FeastLadle\Heat\Reducing;
use FeastLadle\Heat\Roast;
use FeastLadle\Heat\SpecificHeat;
use FeastLadle\Heat\WarmUp;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Recipe\Growth;
use FeastLadle\Recipe\Process;

/** Minutes on a fire: warming, boiling off, roasting, heating fat; all by the power that reaches this food in this pot. */
final readonly class FireTimes
{
    /** The burner a recipe's own roasting minutes are told for: a domestic gas ring of 1.75 kW. */
    public const REFERENCE_KW = 1.75 * 0.45;

    /** Share of the net power that an open pot may lose at the end of its warming before a cook puts the lid on. */
    private const LID_FROM = 0.5;

    /** Degrees at which the first load goes in; kitchen estimate. */
    public const FRYING_CELSIUS = 155.0;

    public function __construct(private Kitchen $kitchen, private Larder $larder)
    {
    }

    public function warmUp(StepFlow $flow, PotChoice $pot, Fire $fire, float $toCelsius, ?TimeAccount $account): ?float
    {
        $surface = $pot->surfaceM2($flow, $this->larder);
        $capacity = $flow->taken->heatCapacityKj($this->larder) + $pot->vessel()->emptyKg * $pot->vessel()->metal->specificHeat();

        $lid = $this->wantsLid($flow, $pot, $fire);
        $minutes = WarmUp::minutes(
            $capacity,
            $flow->taken->celsius,
            $toCelsius,
            $this->netKw($flow, $pot, $fire, $account),
            $surface,
            $this->kitchen->climate->openPot(),
            $lid ? OpenPot::LID_ON : OpenPot::UNCOVERED,
        );
        if ($toCelsius <= $flow->taken->celsius) {
            $account?->say('It is as hot as it must be already.');
        } else {
            $account?->say(
                $lid
                    ? 'Food and pot hold {capacity} kJ a degree; from {from} to {to} °C under a lid (open, {surface} m² would lose '.
                        '{loss} kW), {minutes} min.'
                    : 'Food and pot hold {capacity} kJ a degree; from {from} to {to} °C, the open surface of {surface} m² losing up '.
                        'to {loss} kW, {minutes} min.',
                [
                    'capacity' => round($capacity, 1),
                    'from' => round($flow->taken->celsius),
                    'to' => round($toCelsius),
                    'surface' => round($surface, 3),
                    'loss' => round($this->kitchen->climate->openPot()->lossKwPerM2($toCelsius) * $surface, 2),
                    'minutes' => round($minutes ?? 0.0),
                ],
            );
        }

        return $minutes;
    }

    /** Whether the lid belongs on until it is hot: open it would lose most of what the fire gives, and it does not climb. */
    public function wantsLid(StepFlow $flow, PotChoice $pot, Fire $fire): bool
    {
        $to = match ($flow->step->work->time->growth) {
            Growth::WarmUp => $flow->warmsTo($this->kitchen->climate->boilingCelsius()),
            Growth::BoilOff => $this->kitchen->climate->boilingCelsius(),
            default => null,
        };
        if (null === $to || $to <= $flow->taken->celsius || !$flow->heatCap($this->larder)->maybeCovered()) {
            return false;
        }
        $loss = $this->kitchen->climate->openPot()->lossKwPerM2($to) * $pot->surfaceM2($flow, $this->larder);

        return $loss > self::LID_FROM * $this->netKw($flow, $pot, $fire);
    }

    public function boilOff(StepFlow $flow, PotChoice $pot, Fire $fire, ?TimeAccount $account): ?float
    {
        $boil = $this->kitchen->climate->boilingCelsius();
        $settles = $this->settlesAt($flow, $pot, $fire);
        if ($settles < Reducing::LEAST_CELSIUS) {
            return null;
        }
        // Where it settles it comes near without end; a degree below is there.
        $warming = $this->warmUp($flow, $pot, $fire, $settles < $boil ? $settles - 1 : $boil, $account);
        $net = $this->netKw($flow, $pot, $fire);
        $openness = $flow->openness($this->larder);
        if ($settles >= $boil && OpenPot::UNCOVERED === $openness) {
            $boiling = BoilOff::minutes($flow->waterOff / 1000, $net);
            $account?->say('{water} of water boil off: × 2257 kJ a kg ÷ {net} kW = {minutes} min.', [
                'water' => AmountWriter::weight($flow->waterOff),
                'net' => round($net, 2),
                'minutes' => round($boiling ?? 0.0),
            ]);

            return null === $warming || null === $boiling ? null : $warming + $boiling + $this->climb($flow, $net);
        }
        $rate = Reducing::kgPerMinute($net, $pot->surfaceM2($flow, $this->larder), $openness, $this->kitchen->climate);
        $boiling = $flow->waterOff / 1000 / $rate;
        $account?->say(
            'It stands at {celsius} °C, where its surface loses what the fire gives: {water} of water leave at {rate} a minute, '.
                '{minutes} min.',
            [
                'celsius' => round($settles),
                'water' => AmountWriter::weight($flow->waterOff),
                'rate' => AmountWriter::weight(1000 * $rate),
                'minutes' => round($boiling),
            ],
        );

        return null === $warming ? null : $warming + $boiling;
    }

    /** Minutes in which a syrup itself grows hotter than the boil while it thickens. */
    private function climb(StepFlow $flow, float $netKw): float
    {
        $rise = max(0.0, $flow->peakCelsius - $this->kitchen->climate->boilingCelsius());

        return ($flow->gives->heatCapacityKj($this->larder) * $rise) / $netKw / 60;
    }

    /** °C at which what is reduced stands on this fire: the boil, or below where its surface loses all that the fire gives. */
    public function settlesAt(StepFlow $flow, PotChoice $pot, Fire $fire): float
    {
        return Reducing::settlesAt(
            $this->netKw($flow, $pot, $fire),
            $pot->surfaceM2($flow, $this->larder),
            $flow->openness($this->larder),
            $this->kitchen->climate,
        );
    }

    /**
     * Whether this fire can keep what boils or simmers for told minutes hot enough to cook: its surface, under a lid where
     * one may be on, loses
     * less than the fire gives.
     */
    public function holdsHeat(StepFlow $flow, PotChoice $pot, Fire $fire): bool
    {
        if (!\in_array($flow->step->process, [Process::Boil, Process::Simmer], true)) {
            return true;
        }
        $at = min($flow->peakCelsius, Reducing::LEAST_CELSIUS);
        $openness = $flow->heatCap($this->larder)->maybeCovered() ? OpenPot::LID_ON : $flow->openness($this->larder);

        return $at <= $this->kitchen->climate->roomCelsius
            || $this->kitchen->climate->openPot()->lossKwPerM2($at, $openness) * $pot->surfaceM2($flow, $this->larder) <=
                $this->netKw($flow, $pot, $fire);
    }

    /**
     * The least that a step takes on this fire, whatever its law says: what entered colder is heated, what leaves goes as steam. Of a
     * closed cooker and a steamer metal and water are heated, too.
     */
    public function leastMinutes(StepFlow $flow, PotChoice $pot, Fire $fire): ?float
    {
        $net = $this->netKw($flow, $pot, $fire);
        $heat = $flow->heatKj($this->larder);
        $metal = $pot->vessel()->emptyKg * $pot->vessel()->metal->specificHeat();
        $room = $this->kitchen->climate->roomCelsius;
        $boil = $this->kitchen->climate->boilingCelsius();
        $heat += match ($flow->step->process) {
            Process::Pressure => ($flow->taken->heatCapacityKj($this->larder) + $metal) * PressureTime::ABOVE_BOIL_K +
                $metal * ($boil - $room),
            Process::Steam => $this->steamingWaterKj($flow, $pot, $net) + $metal * ($boil - $room),
            default => 0.0,
        };

        return $net <= 0.0 ? null : $heat / $net / 60;
    }

    private function steamingWaterKj(StepFlow $flow, PotChoice $pot, float $net): float
    {
        $litres = SteamWater::under($pot->vessel(), $flow->step->work->time->likelyMinutes, $net)->litres;

        return $litres * SpecificHeat::WATER * ($this->kitchen->climate->boilingCelsius() - $this->kitchen->climate->roomCelsius);
    }

    public function roast(StepFlow $flow, PotChoice $pot, float $scale, Fire $fire, ?TimeAccount $account): float
    {
        $fatKg = 0.0;
        foreach ($flow->taken->grams as $id => $grams) {
            $fatKg += ($grams / 1000) * $this->larder->get($id)->composition->fat;
        }
        $dryKg = $flow->taken->massGrams() / 1000 - $fatKg;
        $moisture = $flow->step->gives->leaving->waterShare;
        $energy = Roast::energyKj($dryKg, $fatKg, $moisture, $flow->taken->celsius);
        $referenceKw = self::REFERENCE_KW * max(Flame::Low->share(), $flow->step->work->flame->share());
        $browning = Roast::browningMinutes($flow->step->work->time->likelyMinutes, $energy / max(0.01, $scale), $referenceKw);

        $net = $this->netKw($flow, $pot, $fire, $account);
        $account?->say(
            'Browning takes {browning} min in any pan; heating and drying what is in it {energy} kJ, ÷ {net} kW = {minutes} min.',
            [
                'browning' => round($browning, 1),
                'energy' => round($energy),
                'net' => round($net, 2),
                'minutes' => round($energy / $net / 60, 1),
            ],
        );

        return $browning + $energy / $net / 60;
    }

    /** Bringing the fat to frying heat before the first load. */
    public function heatingFat(StepFlow $flow, ?PotChoice $pot, Fire $fire): float
    {
        if (null === $pot?->frying) {
            return 0.0;
        }
        $from = $this->kitchen->climate->roomCelsius;
        $specificHeat = SpecificHeat::fat(($from + self::FRYING_CELSIUS) / 2);
        $capacity = ($pot->frying->fatGrams / 1000) * $specificHeat + $pot->vessel()->emptyKg * $pot->vessel()->metal->specificHeat();

        return WarmUp::minutes($capacity, $from, self::FRYING_CELSIUS, $this->netKw($flow, $pot, $fire), 0.0, null) ?? 0.0;
    }

    /** Waiting for the fat to be hot again, over all loads. */
    public function recovery(StepFlow $flow, ?PotChoice $pot, Fire $fire): float
    {
        $frying = $pot?->frying;
        if (null === $frying || $flow->taken->pieces < 1) {
            return 0.0;
        }
        $pieceKg = $flow->taken->massGrams() / $flow->taken->pieces / 1000;
        $heat = Frying::heatKj($frying->piecesPerLoad, $pieceKg, $flow->taken->celsius, $flow->step->gives->leaving->waterShare);

        return $frying->loads *
            Frying::recoveryMinutes($heat, $this->netKw($flow, $pot, $fire), $flow->step->work->time->likelyMinutes);
    }

    /** Power in kW that reaches the food, under what it stands at the heated base. */
    public function netKw(StepFlow $flow, PotChoice $pot, Fire $fire, ?TimeAccount $account = null): float
    {
        $gives = $fire->burner->netKw($fire->flame);
        $net = $pot->netKw($flow, $fire->burner, $fire->flame, $this->larder);
        $account?->say('{fire}: {kilowatts} kW × {efficiency} that reach the pot × {flame} for the flame = {gives} kW.', [
            'fire' => $fire->burner->name,
            'kilowatts' => $fire->burner->kilowatts,
            'efficiency' => $fire->burner->fuel->efficiency(),
            'flame' => $fire->flame->share(),
            'gives' => round($gives, 2),
        ]);
        if ($net < $gives - 1e-9) {
            $account?->say('The food stands {cap} kW on a m² before it catches; on {base} m² of heated base that is {net} kW.', [
                'cap' => $flow->heatCap($this->larder)->kwPerM2(),
                'base' => round($pot->heatedBaseM2($flow, $fire->burner, $this->larder), 3),
                'net' => round($net, 2),
            ]);
        }

        return $net;
    }
}
